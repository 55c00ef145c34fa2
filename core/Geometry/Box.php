<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/** A box with its sides along the axes, and what passes through it. */
final readonly class Box
{
    /**
     * @param  array{float, float, float}  $low
     * @param  array{float, float, float}  $high
     */
    public function __construct(public array $low, public array $high)
    {
    }

    /**
     * Whether something round in plan, as a tool is, comes into the inside on a straight way of its axis: past an upright edge it comes
     * nearer than past a face.
     *
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     * @param  float  $radius  less than nothing for how far into the box it has to come
     */
    public function isEnteredBy(array $from, array $to, float $radius = 0.0): bool
    {
        // Where on its way, as a share of it, the axis is in the box grown by the radius (slab method).
        $in = 0.0;
        $out = 1.0;
        for ($i = 0; $i < 3; $i++) {
            $by = $i === 2 ? 0.0 : $radius;
            $step = $to[$i] - $from[$i];
            if (abs($step) < 1e-12) {
                if ($from[$i] <= $this->low[$i] - $by || $from[$i] >= $this->high[$i] + $by) {
                    return false;
                }

                continue;
            }
            $a = ($this->low[$i] - $by - $from[$i]) / $step;
            $b = ($this->high[$i] + $by - $from[$i]) / $step;
            $in = max($in, min($a, $b));
            $out = min($out, max($a, $b));
        }

        return $in < $out && ($radius <= 0.0 || $this->isReached($from, $to, $in, $out, $radius));
    }

    /**
     * Whether a stretch of the way, which lies in the grown box, is nearer to the box than the radius: beside a face it is.
     *
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     */
    private function isReached(array $from, array $to, float $in, float $out, float $radius): bool
    {
        [$x0, $y0] = [$from[0] + ($to[0] - $from[0]) * $in, $from[1] + ($to[1] - $from[1]) * $in];
        [$x1, $y1] = [$from[0] + ($to[0] - $from[0]) * $out, $from[1] + ($to[1] - $from[1]) * $out];
        if ((max($x0, $x1) > $this->low[0] && min($x0, $x1) < $this->high[0]) || (max($y0, $y1) > $this->low[1] && min($y0, $y1) < $this->high[1])) {
            return true;
        }
        // It lies off one upright edge all along.
        [$edgeX, $edgeY] = [$x0 <= $this->low[0] ? $this->low[0] : $this->high[0], $y0 <= $this->low[1] ? $this->low[1] : $this->high[1]];
        [$alongX, $alongY] = [$x1 - $x0, $y1 - $y0];
        $square = $alongX * $alongX + $alongY * $alongY;
        $share = $square > 0.0 ? max(0.0, min(1.0, (($edgeX - $x0) * $alongX + ($edgeY - $y0) * $alongY) / $square)) : 0.0;

        return hypot($x0 + $share * $alongX - $edgeX, $y0 + $share * $alongY - $edgeY) < $radius;
    }
}
