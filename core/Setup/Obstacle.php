<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\UprightCylinder;

/**
 * Something that stands in the way, in millimetres in the coordinates of its work offset: a jaw, a clamp, a screw. A box, which
 * may be turned about its middle in plan, or an upright cylinder.
 */
final readonly class Obstacle
{
    /** What stands in machine coordinates has this instead of a work offset. */
    public const MACHINE = 'machine';

    /** Corners of a cylinder's outline. */
    private const CORNERS = 48;

    /** The box around it. */
    public Box $around;

    /**
     * @param  Box  $box  before it is turned
     * @param  string|null  $turnsWith  rotary axis it turns with; it stands as given where that axis is at 0
     * @param  float  $angle  degrees counter-clockwise
     * @param  bool  $isRound  a cylinder that fills the box in plan
     * @param  bool  $isOfMachine  always there, on whatever setup
     */
    public function __construct(
        public string $name, public string $workOffset, public Box $box, public ?string $turnsWith = null, public float $angle = 0.0,
        public bool $isRound = false, public bool $isOfMachine = false,
    ) {
        $corners = $this->outline();
        $this->around = $angle === 0.0 || $isRound ? $box : new Box(
            new PartPoint(min(array_column($corners, 0)), min(array_column($corners, 1)), $box->low->z),
            new PartPoint(max(array_column($corners, 0)), max(array_column($corners, 1)), $box->high->z),
        );
    }

    /** Whether something round in plan comes into it on a straight way of its axis; below its top there is no way under it. */
    public function isEnteredBy(PartPoint $from, PartPoint $to, float $radius): bool
    {
        [$x, $y] = $this->middle();
        if ($this->isRound) {
            return (new UprightCylinder($x, $y, $this->box->size(0) / 2, $this->box->high->z))->isEnteredBy($from, $to, $radius);
        }
        $box = new Box(new PartPoint($this->box->low->x, $this->box->low->y, -INF), $this->box->high);
        if ($this->angle === 0.0) {
            return $box->isEnteredBy($from, $to, $radius);
        }
        [$cos, $sin] = [cos(deg2rad($this->angle)), sin(deg2rad($this->angle))];
        $back = static fn (PartPoint $at): PartPoint => new PartPoint(
            $x + ($at->x - $x) * $cos + ($at->y - $y) * $sin, $y - ($at->x - $x) * $sin + ($at->y - $y) * $cos, $at->z,
        );

        return $box->isEnteredBy($back($from), $back($to), $radius);
    }

    /** @return non-empty-list<array{float, float}> in plan, counter-clockwise */
    public function outline(): array
    {
        [$x, $y] = $this->middle();
        [$half, $deep] = [$this->box->size(0) / 2, $this->box->size(1) / 2];
        if ($this->isRound) {
            return array_map(
                static fn (int $i): array => [$x + $half * cos(2 * M_PI * $i / self::CORNERS), $y + $half * sin(2 * M_PI * $i / self::CORNERS)],
                range(0, self::CORNERS - 1),
            );
        }
        [$cos, $sin] = [cos(deg2rad($this->angle)), sin(deg2rad($this->angle))];

        return array_map(
            static fn (array $side): array => [$x + $side[0] * $half * $cos - $side[1] * $deep * $sin, $y + $side[0] * $half * $sin + $side[1] * $deep * $cos],
            [[-1, -1], [1, -1], [1, 1], [-1, 1]],
        );
    }

    /** @return array{float, float} in plan */
    public function middle(): array
    {
        return [($this->box->low->x + $this->box->high->x) / 2, ($this->box->low->y + $this->box->high->y) / 2];
    }
}
