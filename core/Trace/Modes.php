<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Quantities\Units;

/** How words are read, as the modal codes have it. A new modal value is a line here, and one where its code is met. */
final readonly class Modes
{
    /**
     * @param  bool|null  $tailstockIn  whether the program has sent the tailstock in or out; null where it stands as it was set up
     * @param  bool  $catcherOut  whether something is held under a part that is parted off
     * @param  SecondSpindle|null  $second  null while the program has said nothing of it
     * @param  bool  $partHeld  whether the spindle of a lathe holds the part at an angle instead of turning it
     */
    public function __construct(
        public Units $units,
        public Plane $plane = Plane::XY,
        public bool $absolute = true,
        public Code $feedMode = Code::FeedPerMinute,
        public bool $returnToInitial = true,
        public bool $exactStop = false,
        public bool $polar = false,
        public ?bool $tailstockIn = null,
        public bool $partHeld = false,
        public ?SecondSpindle $second = null,
        public bool $catcherOut = false,
    ) {
    }

    /** The same with some of it changed; null leaves a value as it is. */
    public function with(
        ?Units $units = null,
        ?Plane $plane = null,
        ?bool $absolute = null,
        ?Code $feedMode = null,
        ?bool $returnToInitial = null,
        ?bool $exactStop = null,
        ?bool $polar = null,
        ?bool $tailstockIn = null,
        ?bool $partHeld = null,
        ?SecondSpindle $second = null,
        ?bool $catcherOut = null,
    ): self {
        return new self(
            $units ?? $this->units, $plane ?? $this->plane, $absolute ?? $this->absolute, $feedMode ?? $this->feedMode,
            $returnToInitial ?? $this->returnToInitial, $exactStop ?? $this->exactStop, $polar ?? $this->polar, $tailstockIn ?? $this->tailstockIn,
            $partHeld ?? $this->partHeld, $second ?? $this->second, $catcherOut ?? $this->catcherOut,
        );
    }
}
