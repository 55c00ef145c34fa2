<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** What cuts on a turning tool (ISO 1832, ISO 5608). Angles in degrees, lengths in millimetres. Null means not stated. */
final readonly class Insert
{
    /**
     * @param  float|null  $approachAngle  of the cutting edge, from the way along the axis
     * @param  float|null  $includedAngle  between its two edges
     * @param  float|null  $edgeLength  of the cutting edge
     * @param  float|null  $width  of a blade that grooves or parts
     * @param  float|null  $minBore  the smallest bore a boring bar goes into
     * @param  float|null  $shankWidth  of a square shank, along the spindle's axis
     * @param  string|null  $face  up or down: where the face of the insert looks in the turret
     */
    public function __construct(
        public ?float $approachAngle = null, public ?float $includedAngle = null, public ?float $edgeLength = null, public ?float $width = null,
        public ?float $minBore = null, public ?string $face = null, public ?float $shankWidth = null,
    ) {
    }

    /** How steep it may go down behind its tip: what is left of half a turn. Null where its angles are not stated. */
    public function trailingAngle(): ?float
    {
        return $this->approachAngle === null || $this->includedAngle === null ? null : 180.0 - $this->approachAngle - $this->includedAngle;
    }
}
