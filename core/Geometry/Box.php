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
     * Whether a straight path passes through the inside (slab method).
     *
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     */
    public function isEnteredBy(array $from, array $to): bool
    {
        $in = 0.0;
        $out = 1.0;
        for ($i = 0; $i < 3; $i++) {
            $step = $to[$i] - $from[$i];
            if (abs($step) < 1e-12) {
                if ($from[$i] <= $this->low[$i] || $from[$i] >= $this->high[$i]) {
                    return false;
                }

                continue;
            }
            $a = ($this->low[$i] - $from[$i]) / $step;
            $b = ($this->high[$i] - $from[$i]) / $step;
            $in = max($in, min($a, $b));
            $out = min($out, max($a, $b));
        }

        return $in < $out;
    }
}
