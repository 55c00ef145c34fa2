<?php

declare(strict_types=1);

namespace OakTrace\Core\Kinematics;

/** What carries the tools of a lathe. Lengths in millimetres; null means not stated. */
final readonly class Turret
{
    /**
     * @param  string|null  $side  of the part, for the operator: front or rear
     * @param  float|null  $radius  from its own axis to the face the tools stand out of
     * @param  float|null  $clearance  what must be free around it when it turns
     * @param  float|null  $indexSeconds  from one station to the next tool
     */
    public function __construct(
        public ?string $side = null, public ?int $stations = null, public ?float $radius = null, public ?float $clearance = null,
        public ?float $indexSeconds = null,
    ) {
    }
}
