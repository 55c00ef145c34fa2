<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Setup\Units;

/** A figure with its dimension, so that it can be shown in either unit. Lengths mm, feeds mm/min. */
final readonly class Quantity
{
    private function __construct(public float $value, public string $dimension)
    {
    }

    public static function length(float $millimetres): self
    {
        return new self($millimetres, 'length');
    }

    public static function angle(float $degrees): self
    {
        return new self($degrees, 'angle');
    }

    public static function feed(float $millimetresPerMinute): self
    {
        return new self($millimetresPerMinute, 'feed');
    }

    public static function rpm(float $rpm): self
    {
        return new self($rpm, 'rpm');
    }

    public static function surfaceSpeed(float $metresPerMinute): self
    {
        return new self($metresPerMinute, 'surface speed');
    }

    /** A position on an axis: degrees on a rotary one. */
    public static function onAxis(string $axis, float $value): self
    {
        return str_contains('ABC', $axis[0]) ? self::angle($value) : self::length($value);
    }

    /** The value in a unit, rounded well below what any control can resolve. */
    public function in(Units $units): float
    {
        $value = match ($this->dimension) {
            'length', 'feed' => $this->value / $units->millimetres(),
            'surface speed' => $units === Units::Inch ? $this->value / 0.3048 : $this->value,
            default => $this->value,
        };

        return round($value, 6) + 0.0;
    }
}
