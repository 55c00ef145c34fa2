<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** Where controls differ in reading the same text. Lengths in millimetres. */
final readonly class ControlOptions
{
    /**
     * @param  bool  $cyclesAreMotion  whether cycles are in the motion group (NISTIR 6556), so that one beside G0 or G1 is a conflict
     *                                 and G80 leaves no motion in force
     * @param  bool  $shrinkingPecks  whether I J K of a pecking cycle are first peck, reduction and least peck
     * @param  int  $lookAheadBlocks  moves that leave the plane between two that compensation can bridge
     * @param  int  $mostBlocks  blocks a run may take beyond those of the program itself before it is stopped as endless
     * @param  array<string, mixed>  $more switches of the file this version has no use for, kept for writing back
     */
    public function __construct(
        public RapidPath $rapidPath = RapidPath::Straight,
        public BareNumbers $bareNumbers = BareNumbers::Units,
        public DwellUnit $dwellUnit = DwellUnit::Seconds,
        public float $arcTolerance = 0.002,
        public float $peckClearance = 0.5,
        public float $chipBreakRetract = 0.25,
        public DIs $dIs = DIs::Diameter,
        public OutsideCorner $outsideCorner = OutsideCorner::Arc,
        public int $lookAheadBlocks = 20,
        public bool $cyclesAreMotion = false,
        public bool $shrinkingPecks = false,
        public RepeatIn $subprogramRepeats = RepeatIn::Word,
        public CycleRunsOn $cycleRunsOn = CycleRunsOn::PositionWords,
        public RoundInWord $roundInWord = RoundInWord::Increment,
        public bool $semicolonComments = true,
        public int $mostBlocks = 1_000_000,
        public array $more = [],
        public TurningOptions $turning = new TurningOptions,
    ) {
    }
}
