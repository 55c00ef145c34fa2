<?php

declare(strict_types=1);

namespace OakTrace\Core\Quantities;

/** A figure with its dimension, so that it can be shown in either unit. Lengths mm, feeds mm/min. */
final readonly class Quantity
{
    /** What goes with inches, in what it is kept in: ft/min, lbf, hp, ft lbf, in³/min, hp min/in³. */
    private const INCH_UNITS = [
        'surface speed' => 0.3048, 'force' => 4.4482216, 'power' => 0.74569987, 'torque' => 1.3558179, 'removal rate' => 16.387064,
        'unit power' => 0.74569987 * 60 / 16.387064,
    ];

    private function __construct(public float $value, public string $dimension)
    {
    }

    public static function length(float $millimetres): self
    {
        return new self($millimetres, 'length');
    }

    /** What a control shows of an axis that counts diameters. */
    public static function diameter(float $millimetres): self
    {
        return new self($millimetres, 'diameter');
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

    public static function force(float $newtons): self
    {
        return new self($newtons, 'force');
    }

    public static function power(float $kilowatts): self
    {
        return new self($kilowatts, 'power');
    }

    public static function torque(float $newtonMetres): self
    {
        return new self($newtonMetres, 'torque');
    }

    /** Material taken off, cm³/min. */
    public static function removalRate(float $cubicCentimetres): self
    {
        return new self($cubicCentimetres, 'removal rate');
    }

    /** Power for each rate of material taken off, kW s/cm³. */
    public static function unitPower(float $kilowattSeconds): self
    {
        return new self($kilowattSeconds, 'unit power');
    }

    public static function volume(float $cubicMillimetres): self
    {
        return new self($cubicMillimetres, 'volume');
    }

    /** A number as it was written, whatever PHP's own precision is set to. */
    public static function written(float $number): string
    {
        return rtrim(rtrim(number_format($number, 6, '.', ''), '0'), '.');
    }

    /** The value in a unit, rounded well below what any control can resolve. */
    public function in(Units $units): float
    {
        $value = match ($this->dimension) {
            'length', 'diameter', 'feed' => $this->value / $units->millimetres(),
            'volume' => $this->value / $units->millimetres() ** 3,
            default => $units === Units::Inch ? $this->value / (self::INCH_UNITS[$this->dimension] ?? 1.0) : $this->value,
        };

        return round($value, 6) + 0.0;
    }
}
