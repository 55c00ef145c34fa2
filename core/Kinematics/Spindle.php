<?php

declare(strict_types=1);

namespace OakTrace\Core\Kinematics;

/** A spindle; whether it turns the tool or the part is the machine's affair. */
final readonly class Spindle
{
    /**
     * @param  float|null  $power  of its motor, kW
     * @param  float|null  $torque  N m
     */
    public function __construct(public ?float $maxRpm = null, public float $secondsToSpeed = 0.0, public ?float $power = null, public ?float $torque = null)
    {
    }
}
