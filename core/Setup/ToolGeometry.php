<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** The end of a tool that cuts. Lengths in millimetres, angles in degrees. Null means not stated. */
final readonly class ToolGeometry
{
    /** @param  string|null  $hand  right or left, of a thread */
    public function __construct(
        public ?float $diameter = null,
        public float $cornerRadius = 0.0,
        public ?float $pointAngle = null,
        public ?float $pitch = null,
        public ?string $hand = null,
        public ?int $flutes = null,
        public ?float $fluteLength = null,
        public ?bool $centerCutting = null,
    ) {
    }
}
