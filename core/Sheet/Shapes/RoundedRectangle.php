<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Shapes;

use OakTrace\Core\Sheet\Chain;
use OakTrace\Core\Sheet\Segment;

/** A rectangle about its middle, with round corners, turned by an angle. */
final readonly class RoundedRectangle implements Shape
{
    /**
     * @param  array{float, float}  $center
     * @param  float  $length  along X before it is turned
     * @param  float  $angle  degrees, counter-clockwise
     */
    public function __construct(public array $center, public float $length, public float $width, public float $corner = 0.0, public float $angle = 0.0)
    {
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
        foreach ([[1, 1], [-1, 1], [-1, -1], [1, -1]] as $n => [$a, $b]) {
            $middle = [$a * ($half[0] - $corner), $b * ($half[1] - $corner)];
            $ends = [[$middle[0] + $a * $corner, $middle[1]], [$middle[0], $middle[1] + $b * $corner]];
            $places[] = [$n % 2 === 0 ? $ends : array_reverse($ends), $middle];
        }
        $segments = [];
        foreach ($places as [[$from, $to], $middle]) {
            $segments[] = new Segment(...$this->placed($from));
            if ($corner > 1e-9) {
                $segments[] = new Segment(...[...$this->placed($to), $this->placed($middle)]);
            }
        }
        $start = $this->placed([$half[0], 0.0]);

        return new Chain($start[0], $start[1], [...$segments, new Segment(...$start)]);
    }

    /** @return array{float, float} */
    public function outward(): array
    {
        return [cos(deg2rad($this->angle)), sin(deg2rad($this->angle))];
    }

    public function corner(): float
    {
        return $this->corner;
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
     * @param  array{float, float}  $place  from its middle
     * @return array{float, float}
     */
    private function placed(array $place): array
    {
        [$c, $s] = [cos(deg2rad($this->angle)), sin(deg2rad($this->angle))];

        return [$this->center[0] + $place[0] * $c - $place[1] * $s, $this->center[1] + $place[0] * $s + $place[1] * $c];
    }
}
