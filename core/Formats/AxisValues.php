<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Units;

/** Values by the name of an axis: degrees on a rotary one, lengths on any other. */
final readonly class AxisValues
{
    public function __construct(private Units $units)
    {
    }

    public function factor(string $axis): float
    {
        return AxisName::isRotary($axis) ? 1.0 : $this->units->millimetres();
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
