<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** The chuck of a second spindle that faces the main one, where it has come to the part. Lengths and diameters in millimetres; null means not stated. */
final readonly class SecondSpindle
{
    /**
     * @param  float|null  $jawFaceZ  where its jaws begin
     * @param  float|null  $jawOuter  what they turn in
     * @param  float|null  $faceZ  where its chuck begins behind them
     * @param  float|null  $gripDiameter  what it grips; that of the stock where not stated
     * @param  float  $closeSeconds  how long its chuck takes to close
     * @param  bool  $forward  whether it stands at the part when the program begins
     */
    public function __construct(
        public ?float $jawFaceZ = null, public ?float $jawOuter = null, public ?float $faceZ = null, public ?float $bodyDiameter = null,
        public ?float $gripDiameter = null, public float $closeSeconds = 0.4, public bool $forward = false,
    ) {
    }
}
