<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Kinematics\Axis;
use OakTrace\Core\Quantities\Units;

/** Values by the name of an axis: degrees on a rotary one, lengths on any other, the diameter where an axis counts so. */
final readonly class AxisValues
{
    /** @param  list<string>  $diameters  axes that count diameters; what they hold in the core is the radius */
    public function __construct(private Units $units, private array $diameters = [])
    {
    }

    /** @param  array<string, Axis>  $axes */
    public static function of(Units $units, array $axes): self
    {
        return new self($units, array_map(strval(...), array_keys(array_filter($axes, static fn (Axis $axis): bool => $axis->isDiameter))));
    }

    public function factor(string $axis): float
    {
        return match (true) {
            AxisName::isRotary($axis) => 1.0,
            in_array($axis, $this->diameters, true) => $this->units->millimetres() / 2,
            default => $this->units->millimetres(),
        };
    }

    /**
     * @param  array<array-key, float>  $file
     * @return array<string, float>
     */
    public function read(array $file): array
    {
        $position = [];
        foreach ($file as $axis => $value) {
            $position[(string) $axis] = $value * $this->factor((string) $axis);
        }

        return $position;
    }

    /** @param  array<string, float>  $position */
    public function write(array $position): object
    {
        $file = [];
        foreach ($position as $axis => $value) {
            $file[$axis] = round($value / $this->factor($axis), 9) + 0.0;
        }

        return (object) $file;
    }
}
