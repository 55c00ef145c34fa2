<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Shapes;

use OakTrace\Core\Sheet\Chain;
use OakTrace\Core\Sheet\Segment;

final readonly class Circle implements Shape
{
    /** @param  array{float, float}  $center */
    public function __construct(public array $center, public float $radius)
    {
    }

    public function beside(float $distance): ?Chain
    {
        $radius = $this->radius + $distance;
        $x = $this->center[0] + $radius;

        return $radius <= 1e-9 ? null : new Chain($x, $this->center[1], [new Segment($x, $this->center[1], $this->center)]);
    }

    /** @return array{float, float} */
    public function outward(): array
    {
        return [1.0, 0.0];
    }

    public function corner(): float
    {
        return $this->radius;
    }

    public function straight(): float
    {
        return 0.0;
    }

    public function sharpCorners(): array
    {
        return [];
    }

    public function halfWidth(): float
    {
        return $this->radius;
    }

    public function bounds(): array
    {
        return [$this->center[0] - $this->radius, $this->center[1] - $this->radius, $this->center[0] + $this->radius, $this->center[1] + $this->radius];
    }
}
