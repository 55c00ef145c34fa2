<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/** Something round that stands upright from below, and what passes through it. */
final readonly class UprightCylinder
{
    public function __construct(public float $x, public float $y, public float $radius, public float $top)
    {
    }

    /**
     * Whether something round in plan, as a tool is, comes into it on a straight way of its axis.
     *
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     */
    public function isEnteredBy(array $from, array $to, float $radius = 0.0): bool
    {
        [$in, $out] = [0.0, 1.0];
        $down = $to[2] - $from[2];
        if (abs($down) < 1e-12) {
            if ($from[2] >= $this->top) {
                return false;
            }
        } else {
            $at = ($this->top - $from[2]) / $down;
            $down < 0.0 ? $in = max($in, $at) : $out = min($out, $at);
            if ($in >= $out) {
                return false;
            }
        }
        [$x, $y] = [$from[0] - $this->x, $from[1] - $this->y];
        [$dx, $dy] = [$to[0] - $from[0], $to[1] - $from[1]];
        $square = $dx * $dx + $dy * $dy;
        $nearest = $square > 0.0 ? max($in, min($out, -($x * $dx + $y * $dy) / $square)) : $in;

        return hypot($x + $nearest * $dx, $y + $nearest * $dy) < $this->radius + $radius - 1e-9;
    }
}
