<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Shapes;

use OakTrace\Core\Sheet\Chain;
use OakTrace\Core\Sheet\Segment;

/** A polygon of equal sides about its middle. Its first flat looks along an angle. */
final readonly class RegularPolygon implements Shape
{
    /**
     * @param  array{float, float}  $center
     * @param  float  $flat  from the middle to a flat: half of what it is across
     * @param  float  $angle  of a flat, degrees
     */
    public function __construct(public array $center, public int $sides, public float $flat, public float $angle = 0.0)
    {
    }

    public function beside(float $distance): ?Chain
    {
        $flat = $this->flat + min(0.0, $distance);
        if ($flat <= 1e-9) {
            return null;
        }
        $round = max(0.0, $distance);
        $half = M_PI / $this->sides;
        $segments = [];
        for ($n = 0; $n < $this->sides; $n++) {
            $looks = deg2rad($this->angle) + 2 * $n * $half;
            $corner = $this->at($looks + $half, $flat / cos($half));
            $segments[] = new Segment($corner[0] + $round * cos($looks), $corner[1] + $round * sin($looks));
            if ($round > 1e-9) {
                $next = $looks + 2 * $half;
                $segments[] = new Segment($corner[0] + $round * cos($next), $corner[1] + $round * sin($next), $corner);
            }
        }
        $start = $this->at(deg2rad($this->angle), $flat + $round);

        return new Chain($start[0], $start[1], [...$segments, new Segment(...$start)]);
    }

    /** @return array{float, float} */
    public function outward(): array
    {
        return [cos(deg2rad($this->angle)), sin(deg2rad($this->angle))];
    }

    public function corner(): float
    {
        return 0.0;
    }

    public function straight(): float
    {
        return 2 * $this->flat * tan(M_PI / $this->sides);
    }

    public function sharpCorners(): array
    {
        $half = M_PI / $this->sides;
        $corners = [];
        for ($n = 0; $n < $this->sides; $n++) {
            $at = deg2rad($this->angle) + (2 * $n + 1) * $half;
            [$x, $y] = $this->at($at, $this->flat / cos($half));
            $corners[] = [$x, $y, $at + M_PI, M_PI / 2 - $half];
        }

        return $corners;
    }

    public function halfWidth(): float
    {
        return $this->flat;
    }

    public function bounds(): array
    {
        $reach = $this->flat / cos(M_PI / $this->sides);

        return [$this->center[0] - $reach, $this->center[1] - $reach, $this->center[0] + $reach, $this->center[1] + $reach];
    }

    /** @return array{float, float} */
    private function at(float $radians, float $radius): array
    {
        return [$this->center[0] + $radius * cos($radians), $this->center[1] + $radius * sin($radians)];
    }
}
