<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/** A box with its sides along the axes, and what passes through it. */
final readonly class Box
{
    /** @param  PartPoint  $low  its corner of least X, Y and Z */
    public function __construct(public PartPoint $low, public PartPoint $high)
    {
    }

    /**
     * @param  array{float, float, float}  $low
     * @param  array{float, float, float}  $high
     */
    public static function of(array $low, array $high): self
    {
        return new self(PartPoint::of($low), PartPoint::of($high));
    }

    public function plus(Shift $by): self
    {
        return new self($this->low->plus($by), $this->high->plus($by));
    }

    /** The box in units that are so much smaller. */
    public function times(float $factor): self
    {
        return new self($this->low->times($factor), $this->high->times($factor));
    }

    /** The box so much larger to every side. */
    public function grownBy(float $by): self
    {
        $all = new Shift($by, $by, $by);

        return new self($this->low->minus($all), $this->high->plus($all));
    }

    /** A box around both. */
    public function with(self $other): self
    {
        [$low, $high, $otherLow, $otherHigh] = [$this->low, $this->high, $other->low, $other->high];

        return new self(
            new PartPoint(min($low->x, $otherLow->x), min($low->y, $otherLow->y), min($low->z, $otherLow->z)),
            new PartPoint(max($high->x, $otherHigh->x), max($high->y, $otherHigh->y), max($high->z, $otherHigh->z)),
        );
    }

    public function holds(PartPoint $point): bool
    {
        return $point->x >= $this->low->x && $point->x <= $this->high->x && $point->y >= $this->low->y && $point->y <= $this->high->y
            && $point->z >= $this->low->z && $point->z <= $this->high->z;
    }

    /** @return array{float, float} from where to where it reaches along an axis */
    public function span(int $axis): array
    {
        return [$this->low->on($axis), $this->high->on($axis)];
    }

    /** How large it is along an axis. */
    public function size(int $axis): float
    {
        return $this->high->on($axis) - $this->low->on($axis);
    }

    /**
     * Whether something round in plan, as a tool is, comes into the inside on a straight way of its axis: past an upright edge it comes
     * nearer than past a face.
     *
     * @param  float  $radius  less than nothing for how far into the box it has to come
     */
    public function isEnteredBy(PartPoint $from, PartPoint $to, float $radius = 0.0): bool
    {
        // Where on its way, as a share of it, the axis is in the box grown by the radius (slab method).
        $in = 0.0;
        $out = 1.0;
        foreach ([
            [$from->x, $to->x, $this->low->x - $radius, $this->high->x + $radius], [$from->y, $to->y, $this->low->y - $radius, $this->high->y + $radius],
            [$from->z, $to->z, $this->low->z, $this->high->z],
        ] as [$start, $end, $low, $high]) {
            $step = $end - $start;
            if (abs($step) < 1e-12) {
                if ($start <= $low || $start >= $high) {
                    return false;
                }

                continue;
            }
            $a = ($low - $start) / $step;
            $b = ($high - $start) / $step;
            $in = max($in, min($a, $b));
            $out = min($out, max($a, $b));
        }

        return $in < $out && ($radius <= 0.0 || $this->isReached($from, $to, $in, $out, $radius));
    }

    /** Whether a stretch of the way, which lies in the grown box, is nearer to the box than the radius: beside a face it is. */
    private function isReached(PartPoint $from, PartPoint $to, float $in, float $out, float $radius): bool
    {
        [$low, $high] = [$this->low, $this->high];
        [$x0, $y0] = [$from->x + ($to->x - $from->x) * $in, $from->y + ($to->y - $from->y) * $in];
        [$x1, $y1] = [$from->x + ($to->x - $from->x) * $out, $from->y + ($to->y - $from->y) * $out];
        if ((max($x0, $x1) > $low->x && min($x0, $x1) < $high->x) || (max($y0, $y1) > $low->y && min($y0, $y1) < $high->y)) {
            return true;
        }
        // It lies off one upright edge all along.
        [$edgeX, $edgeY] = [$x0 <= $low->x ? $low->x : $high->x, $y0 <= $low->y ? $low->y : $high->y];
        [$alongX, $alongY] = [$x1 - $x0, $y1 - $y0];
        $square = $alongX * $alongX + $alongY * $alongY;
        $share = $square > 0.0 ? max(0.0, min(1.0, (($edgeX - $x0) * $alongX + ($edgeY - $y0) * $alongY) / $square)) : 0.0;

        return hypot($x0 + $share * $alongX - $edgeX, $y0 + $share * $alongY - $edgeY) < $radius;
    }
}
