<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

use OakTrace\Core\Geometry\Box;
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

    /** @var array{float, float, float} of the box around it */
    public array $min;

    /** @var array{float, float, float} */
    public array $max;

    /**
     * @param  array{float, float, float}  $low  of the box itself, before it is turned
     * @param  array{float, float, float}  $high
     * @param  string|null  $turnsWith  rotary axis it turns with; it stands as given where that axis is at 0
     * @param  float  $angle  degrees counter-clockwise
     * @param  bool  $isRound  a cylinder that fills the box in plan
     * @param  bool  $isOfMachine  always there, on whatever setup
     */
    public function __construct(
        public string $name, public string $workOffset, public array $low, public array $high, public ?string $turnsWith = null, public float $angle = 0.0,
        public bool $isRound = false, public bool $isOfMachine = false,
    ) {
        $corners = $this->outline();
        $this->min = $angle === 0.0 || $isRound ? $low : [min(array_column($corners, 0)), min(array_column($corners, 1)), $low[2]];
        $this->max = $angle === 0.0 || $isRound ? $high : [max(array_column($corners, 0)), max(array_column($corners, 1)), $high[2]];
    }

    /**
     * Whether something round in plan comes into it on a straight way of its axis; below its top there is no way under it.
     *
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     */
    public function isEnteredBy(array $from, array $to, float $radius): bool
    {
        [$x, $y] = $this->middle();
        if ($this->isRound) {
            return (new UprightCylinder($x, $y, ($this->high[0] - $this->low[0]) / 2, $this->high[2]))->isEnteredBy($from, $to, $radius);
        }
        $box = new Box([$this->low[0], $this->low[1], -INF], $this->high);
        if ($this->angle === 0.0) {
            return $box->isEnteredBy($from, $to, $radius);
        }
        [$cos, $sin] = [cos(deg2rad($this->angle)), sin(deg2rad($this->angle))];
        $back = static fn (array $at): array => [
            $x + ($at[0] - $x) * $cos + ($at[1] - $y) * $sin, $y - ($at[0] - $x) * $sin + ($at[1] - $y) * $cos, $at[2],
        ];

        return $box->isEnteredBy($back($from), $back($to), $radius);
    }

    /** @return non-empty-list<array{float, float}> in plan, counter-clockwise */
    public function outline(): array
    {
        [$x, $y] = $this->middle();
        [$half, $deep] = [($this->high[0] - $this->low[0]) / 2, ($this->high[1] - $this->low[1]) / 2];
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

    /** @return array{float, float} */
    private function middle(): array
    {
        return [($this->low[0] + $this->high[0]) / 2, ($this->low[1] + $this->high[1]) / 2];
    }
}
