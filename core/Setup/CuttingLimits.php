<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** How a tool is to be used. Lengths in millimetres, speeds in rev/min. Null means not stated. */
final readonly class CuttingLimits
{
    /**
     * @param  array{float, float}|null  $feedPerTooth  least and greatest, mm
     * @param  array{float, float}|null  $surfaceSpeed  least and greatest, m/min
     */
    public function __construct(
        public ?float $maxRpm = null,
        public ?float $maxAxialDepth = null,
        public ?float $maxRadialWidth = null,
        public ?array $feedPerTooth = null,
        public ?array $surfaceSpeed = null,
        public ?string $coolant = null,
    ) {
    }
}
