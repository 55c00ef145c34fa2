<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** How near is too near, in millimetres; what stands here without a word of the setup is common practice. */
final readonly class Margins
{
    /**
     * @param  float|null  $clearance  height over the stock where rapids may cross
     * @param  float  $breakThrough  how far a cut may go past the bottom of the stock
     * @param  float  $nearLimit  how near a limit calls for a look
     * @param  float  $thinnest  thinnest floor or wall that may be left
     */
    public function __construct(public ?float $clearance = null, public float $breakThrough = 1.0, public float $nearLimit = 0.5, public float $thinnest = 0.5)
    {
    }
}
