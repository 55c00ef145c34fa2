<?php

declare(strict_types=1);

namespace OakTrace\Core\Kinematics;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;

/**
 * One axis of a machine. Travel in millimetres (degrees for a rotary axis) in machine coordinates, rapid rate in
 * units per minute, acceleration in units per second squared. Null where the setup does not state it. By hand: the control does not
 * move it, somebody does, as the messages of the program say.
 */
final readonly class Axis
{
    /** Degrees to spare from which on a rotary axis is as good as open: ten turns. */
    public const OPEN = 3600.0;

    public function __construct(
        public string $name,
        public ?float $min,
        public ?float $max,
        public ?float $rapid,
        public ?float $acceleration,
        public bool $isDiameter = false,
        public bool $isByHand = false,
    ) {
    }

    /** A position on it, or a distance along it, as the control shows it. */
    public function shown(float $value): Quantity
    {
        return match (true) {
            $this->isRotary() => Quantity::angle($value),
            $this->isDiameter => Quantity::diameter(2 * $value),
            default => Quantity::length($value),
        };
    }

    /** A B C turn about X Y Z (ISO 841). */
    public function isRotary(): bool
    {
        return AxisName::isRotary($this->name);
    }
}
