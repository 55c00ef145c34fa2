<?php

declare(strict_types=1);

namespace OakTrace\Core\Kinematics;

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\Turn;

/**
 * Something that turns with a rotary axis about X (A) or Y (B): its extent along the axis, and its outline square to it, a convex
 * polygon about the centre. Lengths in mm, angles in degrees, all in the coordinates of the rotary centre's work offset.
 */
final readonly class TurningSolid
{
    /** Corners of a polygon that stands for a circle; it lies around it by less than a thousandth of its radius. */
    private const CORNERS = 72;

    /** Boxes side by side that stand for something turned askew. */
    private const SLABS = 24;

    /** Sides that only touch do not meet. */
    private const TOUCH = 0.01;

    /**
     * @param  array{float, float}  $along  from and to along the axis
     * @param  non-empty-list<array{float, float}>  $outline  from the centre, in the axes square to it in the order in which it turns
     */
    private function __construct(private string $axis, private Turn $rest, private array $along, private array $outline)
    {
    }

    /** @param  Turn  $rest  the axis and its centre, not turned */
    public static function box(Turn $rest, Box $box): self
    {
        [$along, $a, $b] = self::order($rest->axis);
        [$min, $max, $center] = [$box->low->each(), $box->high->each(), $rest->center->each()];
        $corner = static fn (float $first, float $second): array => [$first - $center[$a], $second - $center[$b]];

        return new self(
            $rest->axis, $rest, [$min[$along], $max[$along]],
            [$corner($min[$a], $min[$b]), $corner($max[$a], $min[$b]), $corner($max[$a], $max[$b]), $corner($min[$a], $max[$b])],
        );
    }

    /**
     * Round material that lies along the axis.
     *
     * @param  Box  $around  it
     */
    public static function bar(Turn $rest, Box $around): self
    {
        [$along, $a, $b] = self::order($rest->axis);
        [$min, $max, $center] = [$around->low->each(), $around->high->each(), $rest->center->each()];
        $radius = ($max[$a] - $min[$a]) / 2 / cos(M_PI / self::CORNERS);
        $corner = static fn (int $i): array => [
            ($min[$a] + $max[$a]) / 2 - $center[$a] + $radius * cos(2 * M_PI * $i / self::CORNERS),
            ($min[$b] + $max[$b]) / 2 - $center[$b] + $radius * sin(2 * M_PI * $i / self::CORNERS),
        ];

        return new self($rest->axis, $rest, [$min[$along], $max[$along]], array_map($corner, range(0, self::CORNERS - 1)));
    }

    /** How far it reaches from the centre. */
    public function reach(): float
    {
        return max(array_map(static fn (array $corner): float => hypot(...$corner), $this->outline));
    }

    /** Its lowest Z once it is turned by an angle. */
    public function lowest(float $angle): float
    {
        $b = $this->axis === 'A' ? 1 : 0; // Z is the second of Y Z, and the first of Z X

        return $this->rest->center->z + min(array_column($this->turned($angle), $b));
    }

    /** How far it stands in a box once it is turned by an angle, the least way out; 0 where it does not. */
    public function depthIn(Box $box, float $angle): float
    {
        [$along, $a, $b] = self::order($this->axis);
        [$min, $max, $center] = [$box->low->each(), $box->high->each(), $this->rest->center->each()];
        $depth = min($this->along[1], $max[$along]) - max($this->along[0], $min[$along]);
        if ($depth <= self::TOUCH) {
            return 0.0;
        }
        $outline = $this->turned($angle);
        [$left, $right] = [$min[$a] - $center[$a], $max[$a] - $center[$a]];
        [$low, $high] = [$min[$b] - $center[$b], $max[$b] - $center[$b]];
        $corners = [[$left, $low], [$right, $low], [$right, $high], [$left, $high]];
        // Two convex outlines are apart where some side of one of them has the other beyond it.
        foreach ([[1.0, 0.0], [0.0, 1.0], ...self::normals($outline)] as [$x, $y]) {
            $project = static fn (array $corner): float => $corner[0] * $x + $corner[1] * $y;
            [$own, $other] = [array_map($project, $outline), array_map($project, $corners)];
            $depth = min($depth, max($own) - min($other), max($other) - min($own));
            if ($depth <= self::TOUCH) {
                return 0.0;
            }
        }

        return $depth;
    }

    /**
     * Upright boxes side by side that stand for it once it is turned by an angle; where it is turned by quarters, one.
     *
     * @return list<Box>
     */
    public function slabs(float $angle): array
    {
        // Across, and up: Y and Z of Y Z, or X and Z of Z X.
        [$across, $up, $index] = $this->axis === 'A' ? [0, 1, 1] : [1, 0, 0];
        $outline = array_map(static fn (array $corner): array => [$corner[$across], $corner[$up]], $this->turned($angle));
        [$left, $right] = [min(array_column($outline, 0)), max(array_column($outline, 0))];
        $count = abs(fmod($angle, 90.0)) < 1e-6 && count($outline) === 4 ? 1 : self::SLABS;
        $center = $this->rest->center->each();
        $slabs = [];
        for ($i = 0; $i < $count; $i++) {
            [$from, $to] = [$left + ($right - $left) * $i / $count, $left + ($right - $left) * ($i + 1) / $count];
            [$low, $high] = self::between($outline, $from, $to);
            $min = $max = [0.0, 0.0, 0.0];
            [$min[$this->axis === 'A' ? 0 : 1], $max[$this->axis === 'A' ? 0 : 1]] = $this->along;
            [$min[$index], $max[$index]] = [$center[$index] + $from, $center[$index] + $to];
            [$min[2], $max[2]] = [$center[2] + $low, $center[2] + $high];
            $slabs[] = Box::of($min, $max);
        }

        return $slabs;
    }

    /**
     * The lowest and highest of an outline between two places across.
     *
     * @param  non-empty-list<array{float, float}>  $outline
     * @return array{float, float}
     */
    private static function between(array $outline, float $from, float $to): array
    {
        $heights = [];
        foreach ($outline as $i => [$x, $y]) {
            [$toX, $toY] = $outline[($i + 1) % count($outline)];
            if (max($x, $toX) < $from || min($x, $toX) > $to) {
                continue;
            }
            $at = static fn (float $across): float => abs($toX - $x) < 1e-12 ? $y : $y + ($toY - $y) * max(0.0, min(1.0, ($across - $x) / ($toX - $x)));
            array_push($heights, $at(max($from, min($x, $toX))), $at(min($to, max($x, $toX))));
            if (abs($toX - $x) < 1e-12) {
                $heights[] = $toY;
            }
        }

        return $heights === [] ? [0.0, 0.0] : [min($heights), max($heights)];
    }

    /** @return non-empty-list<array{float, float}> */
    private function turned(float $angle): array
    {
        // The part turns the other way than the sign of its axis says (ISO 841), as Turn has it.
        [$cos, $sin] = [cos(deg2rad(-$angle)), sin(deg2rad(-$angle))];

        return array_map(static fn (array $corner): array => [$corner[0] * $cos - $corner[1] * $sin, $corner[0] * $sin + $corner[1] * $cos], $this->outline);
    }

    /**
     * @param  non-empty-list<array{float, float}>  $outline
     * @return list<array{float, float}>
     */
    private static function normals(array $outline): array
    {
        $normals = [];
        foreach ($outline as $i => [$x, $y]) {
            [$toX, $toY] = $outline[($i + 1) % count($outline)];
            $length = hypot($toX - $x, $toY - $y);
            if ($length > 0.0) {
                $normals[] = [($toY - $y) / $length, ($x - $toX) / $length];
            }
        }

        return $normals;
    }

    /** @return array{int, int, int} the axis it turns about, and the two square to it in the order in which it turns: Y Z, or Z X */
    private static function order(string $axis): array
    {
        return $axis === 'A' ? [0, 1, 2] : [1, 2, 0];
    }
}
