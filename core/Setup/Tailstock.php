<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/**
 * What holds the free end of a part on a lathe: a point, the quill it sits in, the body behind. Lengths and diameters in millimetres.
 * Null means not stated.
 */
final readonly class Tailstock
{
    /**
     * @param  float|null  $mouth  diameter of the centre hole where the point goes in
     * @param  float|null  $faceZ  Z of that face; that of the stock where not stated
     * @param  float|null  $quillReach  from that face to the body
     * @param  bool  $retracted  whether it stands back, out of the way
     */
    public function __construct(
        public ?float $mouth = null, public float $pointAngle = 60.0, public ?float $faceZ = null, public ?float $quillDiameter = null,
        public ?float $quillReach = null, public ?float $bodyDiameter = null, public bool $retracted = false,
    ) {
    }
}
