<?php

declare(strict_types=1);

namespace OakTrace\Core\Kinematics;

/**
 * One axis of a machine. Travel in millimetres (degrees for a rotary axis) in machine coordinates, rapid rate in
 * units per minute, acceleration in units per second squared. Null where the setup does not state it.
 */
final readonly class Axis
{
    public function __construct(
        public string $name,
        public ?float $min,
        public ?float $max,
        public ?float $rapid,
        public ?float $acceleration,
        public bool $isDiameter = false,
    ) {
    }

    /** A B C turn about X Y Z (ISO 841). */
    public function isRotary(): bool
    {
        return str_contains('ABC', $this->name[0]);
    }
}
