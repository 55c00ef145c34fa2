<?php

declare(strict_types=1);

namespace OakTrace\Core\Solids;

use Closure;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\Turn;

/** A box with its sides along the axes. */
final readonly class BoxBlank implements Blank
{
    /**
     * @param  array{float, float, float}  $min
     * @param  array{float, float, float}  $max
     */
    public function __construct(private array $min, private array $max)
    {
    }

    public function isLevel(): bool
    {
        return true;
    }

    public function holds(array $place): bool
    {
        return $place[0] >= $this->min[0] && $place[0] <= $this->max[0] && $place[1] >= $this->min[1] && $place[1] <= $this->max[1]
            && $place[2] >= $this->min[2] && $place[2] <= $this->max[2];
    }

    public function volume(): float
    {
        return ($this->max[0] - $this->min[0]) * ($this->max[1] - $this->min[1]) * ($this->max[2] - $this->min[2]);
    }

    public function standsLevel(?Turn $turn = null): bool
    {
        return $turn === null;
    }

    public function top(?Turn $turn = null): float
    {
        return $turn === null ? $this->max[2] : $turn->box($this->min, $this->max)[1][2];
    }

    public function nearest(float $x, float $y, ?Turn $turn = null): ?array
    {
        return $turn === null ? [max($this->min[0], min($this->max[0], $x)), max($this->min[1], min($this->max[1], $y))] : null;
    }

    public function seen(float $cell, ?Turn $turn = null): HeightField
    {
        if ($turn === null) {
            return HeightField::box($this->min, $this->max, $cell);
        }
        [$low, $high] = $turn->box($this->min, $this->max);

        return HeightField::over($low, $high, $cell, $this->surface($turn), $turn->axis === AxisName::A ? AxisName::X : AxisName::Y);
    }

    public function surface(?Turn $turn = null): Closure
    {
        if ($turn === null) {
            return fn (float $x, float $y): ?float => $x < $this->min[0]
                || $x > $this->max[0] || $y < $this->min[1] || $y > $this->max[1] ? null : $this->max[2];
        }
        $up = $turn->up();
        [$low] = $turn->box($this->min, $this->max);
        [$origin, $right, $back] = $turn->undone($low[2]);

        return function (float $x, float $y) use ($origin, $right, $back, $up, $low): ?float {
            // From under it straight up: where the way leaves the last of the slabs it is in (slab method).
            $from = [$origin[0] + $x * $right[0] + $y * $back[0], $origin[1] + $x * $right[1] + $y * $back[1], $origin[2] + $x * $right[2] + $y * $back[2]];
            [$in, $out] = [-INF, INF];
            for ($i = 0; $i < 3; $i++) {
                if (abs($up[$i]) < 1e-12) {
                    if ($from[$i] < $this->min[$i] || $from[$i] > $this->max[$i]) {
                        return null;
                    }

                    continue;
                }
                $one = ($this->min[$i] - $from[$i]) / $up[$i];
                $two = ($this->max[$i] - $from[$i]) / $up[$i];
                $in = max($in, min($one, $two));
                $out = min($out, max($one, $two));
            }

            return $out > $in ? $low[2] + $out : null;
        };
    }
}
