<?php

declare(strict_types=1);

namespace OakTrace\Core\Quantities;

/** The unit of length a file or a program is written in. Inside the core every length is in millimetres. */
enum Units: string
{
    case Millimetre = 'mm';
    case Inch = 'inch';

    /** Millimetres in one unit; an inch is exactly 25.4 mm (ISO 1000). */
    public function millimetres(): float
    {
        return $this === self::Inch ? 25.4 : 1.0;
    }

    /** The smallest step of a coordinate, in millimetres: 0.001 mm or 0.0001 in. */
    public function leastIncrement(): float
    {
        return $this === self::Inch ? 0.00254 : 0.001;
    }

    /** Decimals a machinist expects for a length in this unit. */
    public function decimals(): int
    {
        return $this === self::Inch ? 4 : 3;
    }

    public function symbol(): string
    {
        return $this === self::Inch ? 'in' : 'mm';
    }
}
