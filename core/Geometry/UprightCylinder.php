<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/** Something round that stands upright from below, and what passes through it. */
final readonly class UprightCylinder
{
    public function __construct(public float $x, public float $y, public float $radius, public float $top)
    {
    }

    /** Whether something round in plan, as a tool is, comes into it on a straight way of its axis. */
    public function isEnteredBy(PartPoint $from, PartPoint $to, float $radius = 0.0): bool
    {
        [$in, $out] = [0.0, 1.0];
        $down = $to->z - $from->z;
        if (abs($down) < 1e-12) {
            if ($from->z >= $this->top) {
                return false;
            }
        } else {
            $at = ($this->top - $from->z) / $down;
            $down < 0.0 ? $in = max($in, $at) : $out = min($out, $at);
            if ($in >= $out) {
                return false;
            }
        }
        [$x, $y] = [$from->x - $this->x, $from->y - $this->y];
        [$dx, $dy] = [$to->x - $from->x, $to->y - $from->y];
        $square = $dx * $dx + $dy * $dy;
        $nearest = $square > 0.0 ? max($in, min($out, -($x * $dx + $y * $dy) / $square)) : $in;

        return hypot($x + $nearest * $dx, $y + $nearest * $dy) < $this->radius + $radius - 1e-9;
    }
}
