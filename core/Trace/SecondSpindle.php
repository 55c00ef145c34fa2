<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Control\Code;

/** A second spindle as the program has it, and the chuck of the main one, which it takes the part from. */
final readonly class SecondSpindle
{
    /**
     * @param  int  $turn  by its own codes: 1 clockwise, -1 counter-clockwise, 0 stopped
     * @param  float  $rpm  rev/min
     * @param  Code|null  $joined  SpindlesTogether or SpindlesInPhase while it goes with the main spindle
     * @param  bool  $clamps  whether its chuck is closed
     * @param  bool  $mainOpen  whether that of the main spindle is open
     * @param  bool|null  $isForward  whether it has come to the part; null where it stands as it was set up
     */
    public function __construct(
        public int $turn = 0, public float $rpm = 0.0, public ?Code $joined = null, public bool $clamps = false, public bool $mainOpen = false,
        public ?bool $isForward = null,
    ) {
    }

    /** @param  float|null  $rpm  S beside a code that turns it */
    public function after(Code $code, ?float $rpm = null): self
    {
        $turn = match ($code) {
            Code::SecondClockwise => 1,
            Code::SecondCounterClockwise => -1,
            Code::SecondStop => 0,
            default => $this->turn,
        };

        return new self(
            $turn, $rpm ?? $this->rpm,
            match ($code) {
                Code::SpindlesTogether, Code::SpindlesInPhase => $code,
                Code::SpindlesApart => null,
                default => $this->joined,
            },
            match ($code) {
                Code::SecondClamp => true,
                Code::SecondUnclamp => false,
                default => $this->clamps,
            },
            match ($code) {
                Code::MainUnclamp => true,
                Code::MainClamp => false,
                default => $this->mainOpen,
            },
            match ($code) {
                Code::SecondForward => true,
                Code::SecondBack => false,
                default => $this->isForward,
            },
        );
    }
}
