<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Shapes;

use OakTrace\Core\Sheet\Chain;
use OakTrace\Core\Sheet\Segment;

/** A rectangle about its middle, with round corners, turned by an angle. */
final readonly class RoundedRectangle implements Shape
{
    /** A side shorter than this is none, mm. */
    private const NO_SIDE = 1e-6;

    /**
     * @param  array{float, float}  $center
     * @param  float  $length  the longer side, along X before it is turned
     * @param  float  $angle  degrees, counter-clockwise
     */
    private function __construct(public array $center, public float $length, public float $width, public float $corner, public float $angle)
    {
    }

    /** @param  array{float, float}  $center */
    public static function of(array $center, float $alongX, float $alongY, float $corner = 0.0, float $angle = 0.0): self
    {
        // What is longer along Y is the same turned by a quarter.
        return $alongX >= $alongY ? new self($center, $alongX, $alongY, $corner, $angle) : new self($center, $alongY, $alongX, $corner, $angle + 90.0);
    }

    public function beside(float $distance): ?Chain
    {
        $half = [$this->length / 2 + $distance, $this->width / 2 + $distance];
        if (min($half) <= 1e-9) {
            return null;
        }
        // Inwards a corner gets sharper until it is sharp; outwards the cutter rolls round it.
        $corner = max(0.0, $this->corner + $distance);
        $corner = min($corner, ...$half);
        $places = [];
        foreach ([[1, -1], [1, 1], [-1, 1], [-1, -1]] as $n => [$a, $b]) {
            $middle = [$a * ($half[0] - $corner), $b * ($half[1] - $corner)];
            $ends = [[$middle[0], $middle[1] + $b * $corner], [$middle[0] + $a * $corner, $middle[1]]];
            $places[] = [$n % 2 === 0 ? $ends : array_reverse($ends), $middle];
        }
        $segments = [];
        $before = [0.0, -$half[1]];
        foreach ($places as [[$from, $to], $middle]) {
            // Where the corners are as round as it is wide there is no side between them.
            if (hypot($from[0] - $before[0], $from[1] - $before[1]) > self::NO_SIDE) {
                $segments[] = new Segment(...$this->placed($from));
            }
            $before = $to;
            if ($corner > 1e-9) {
                $segments[] = new Segment(...[...$this->placed($to), $this->placed($middle)]);
            }
        }
        $start = $this->placed([0.0, -$half[1]]);
        if (hypot($before[0], $before[1] + $half[1]) > self::NO_SIDE) {
            $segments[] = new Segment(...$start);
        }

        /** @var non-empty-list<Segment> $segments */
        return new Chain($start[0], $start[1], $segments);
    }

    /** @return array{float, float} */
    public function outward(): array
    {
        return [sin(deg2rad($this->angle)), -cos(deg2rad($this->angle))];
    }

    public function straight(): float
    {
        return max(0.0, $this->length - 2 * $this->corner);
    }

    public function corner(): float
    {
        return $this->corner;
    }

    public function sharpCorners(): array
    {
        $corners = [];
        foreach ($this->corner > 1e-9 ? [] : [[1, 1], [-1, 1], [-1, -1], [1, -1]] as $n => [$a, $b]) {
            [$x, $y] = $this->placed([$a * $this->length / 2, $b * $this->width / 2]);
            $corners[] = [$x, $y, deg2rad($this->angle + 225 + 90 * $n), M_PI / 4];
        }

        return $corners;
    }

    public function halfWidth(): float
    {
        return min($this->length, $this->width) / 2;
    }

    public function bounds(): array
    {
        [$c, $s] = [abs(cos(deg2rad($this->angle))), abs(sin(deg2rad($this->angle)))];
        [$x, $y] = [($this->length * $c + $this->width * $s) / 2, ($this->length * $s + $this->width * $c) / 2];

        return [$this->center[0] - $x, $this->center[1] - $y, $this->center[0] + $x, $this->center[1] + $y];
    }

    /**
     * Where a straight way is inside of it, no nearer to a wall than a distance. A round corner is left out with all of its square.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $along  a unit vector
     * @return list<array{float, float}> from and to along the way
     */
    public function spans(array $from, array $along, float $distance): array
    {
        $half = [$this->length / 2 - $distance, $this->width / 2 - $distance];
        $corner = max(0.0, $this->corner - $distance);
        [$c, $s] = [cos(deg2rad($this->angle)), sin(deg2rad($this->angle))];
        [$x, $y] = [$from[0] - $this->center[0], $from[1] - $this->center[1]];
        $start = [$x * $c + $y * $s, -$x * $s + $y * $c];
        $way = [$along[0] * $c + $along[1] * $s, -$along[0] * $s + $along[1] * $c];
        $spans = [];
        foreach ($corner > 0.0 ? [[$half[0], $half[1] - $corner], [$half[0] - $corner, $half[1]]] : [$half] as $reach) {
            [$begin, $end] = [-INF, INF];
            foreach ([0, 1] as $axis) {
                if (abs($way[$axis]) < 1e-12) {
                    [$begin, $end] = abs($start[$axis]) <= $reach[$axis] ? [$begin, $end] : [INF, -INF];

                    continue;
                }
                $ends = [(-$reach[$axis] - $start[$axis]) / $way[$axis], ($reach[$axis] - $start[$axis]) / $way[$axis]];
                [$begin, $end] = [max($begin, min($ends)), min($end, max($ends))];
            }
            if (min($reach) > 0.0 && $begin < $end) {
                $spans[] = [$begin, $end];
            }
        }

        return $spans;
    }

    /** @return array{array{float, float}, array{float, float}} the line through its middle, along it or across it */
    public function middleLine(bool $isAlong): array
    {
        return $isAlong ? [$this->placed([-$this->length / 2, 0.0]), $this->placed([$this->length / 2, 0.0])]
            : [$this->placed([0.0, -$this->width / 2]), $this->placed([0.0, $this->width / 2])];
    }

    /** @return array{float, float} the middle of a corner's arc */
    public function cornerAt(): array
    {
        return $this->placed([$this->length / 2 - $this->corner, $this->width / 2 - $this->corner]);
    }

    /**
     * @param  array{float, float}  $place  from its middle
     * @return array{float, float}
     */
    private function placed(array $place): array
    {
        [$c, $s] = [cos(deg2rad($this->angle)), sin(deg2rad($this->angle))];

        return [$this->center[0] + $place[0] * $c - $place[1] * $s, $this->center[1] + $place[0] * $s + $place[1] * $c];
    }
}
