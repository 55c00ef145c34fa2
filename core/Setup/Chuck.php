<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** What holds the part on a lathe. Lengths in millimetres along Z of the stock's work offset, masses in kilograms. Null means not stated. */
final readonly class Chuck
{
    /**
     * @param  float|null  $jawFaceZ  where the jaws end towards the tailstock
     * @param  float|null  $jawOuter  diameter they turn in
     * @param  float|null  $jawInner  diameter they grip; that of the stock where not stated
     * @param  float|null  $faceZ  where the body ends
     * @param  float|null  $bodyLength  from the face of the body back
     * @param  float|null  $gripLength  how far the part goes into the jaws
     * @param  float|null  $gripForce  at rest, of all jaws together, N
     */
    public function __construct(
        public string $kind = 'jaws', public ?float $maxRpm = null, public ?float $jawFaceZ = null, public ?float $jawOuter = null,
        public ?float $jawInner = null, public ?float $faceZ = null, public ?float $bodyDiameter = null, public ?int $jaws = null,
        public ?float $jawMass = null, public ?float $jawCentreRadius = null, public ?float $gripForce = null,
        public ?float $bodyLength = null, public ?float $gripLength = null,
    ) {
    }
}
