<?php

declare(strict_types=1);

namespace OakTrace\Core\Quantities;

/** The middle one of some figures, which one wrong figure among them does not move; of an even number, between the two middle ones. */
final class Median
{
    /** @param  non-empty-array<array-key, float>  $values */
    public static function of(array $values): float
    {
        sort($values);

        return ($values[intdiv(count($values) - 1, 2)] + $values[intdiv(count($values), 2)]) / 2;
    }
}
