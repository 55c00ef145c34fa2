<?php

declare(strict_types=1);

namespace OakTrace\Core\Solids;

use Closure;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Shift;
use OakTrace\Core\Geometry\Turn;

/** A box with its sides along the axes. */
final readonly class BoxBlank implements Blank
{
    public function __construct(private Box $box)
    {
    }

    public function isLevel(): bool
    {
        return true;
    }

    public function holds(PartPoint $point): bool
    {
        return $this->box->holds($point);
    }

    public function volume(): float
    {
        return $this->box->size(0) * $this->box->size(1) * $this->box->size(2);
    }

    public function standsLevel(?Turn $turn = null): bool
    {
        return $turn === null;
    }

    public function top(?Turn $turn = null): float
    {
        return ($turn === null ? $this->box : $turn->box($this->box))->high->z;
    }

    public function nearest(float $x, float $y, ?Turn $turn = null): ?array
    {
        [$low, $high] = [$this->box->low, $this->box->high];

        return $turn === null ? [max($low->x, min($high->x, $x)), max($low->y, min($high->y, $y))] : null;
    }

    public function seen(float $cell, ?Turn $turn = null): HeightField
    {
        if ($turn === null) {
            return HeightField::box($this->box, $cell);
        }

        return HeightField::over($turn->box($this->box), $cell, $this->surface($turn), $turn->axis === AxisName::A ? AxisName::X : AxisName::Y);
    }

    public function surface(?Turn $turn = null): Closure
    {
        [$min, $max] = [$this->box->low->each(), $this->box->high->each()];
        if ($turn === null) {
            return static fn (float $x, float $y): ?float => $x < $min[0] || $x > $max[0] || $y < $min[1] || $y > $max[1] ? null : $max[2];
        }
        $up = $turn->up()->each();
        $low = $turn->box($this->box)->low->z;
        [$origin, $right, $back] = array_map(static fn (PartPoint|Shift $each): array => $each->each(), $turn->undone($low));

        return static function (float $x, float $y) use ($origin, $right, $back, $up, $low, $min, $max): ?float {
            // From under it straight up: where the way leaves the last of the slabs it is in (slab method).
            $from = [$origin[0] + $x * $right[0] + $y * $back[0], $origin[1] + $x * $right[1] + $y * $back[1], $origin[2] + $x * $right[2] + $y * $back[2]];
            [$in, $out] = [-INF, INF];
            for ($i = 0; $i < 3; $i++) {
                if (abs($up[$i]) < 1e-12) {
                    if ($from[$i] < $min[$i] || $from[$i] > $max[$i]) {
                        return null;
                    }

                    continue;
                }
                $one = ($min[$i] - $from[$i]) / $up[$i];
                $two = ($max[$i] - $from[$i]) / $up[$i];
                $in = max($in, min($one, $two));
                $out = min($out, max($one, $two));
            }

            return $out > $in ? $low + $out : null;
        };
    }
}
