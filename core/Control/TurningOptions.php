<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** Where controls of lathes differ in reading the same text. Lengths in millimetres. */
final readonly class TurningOptions
{
    /**
     * @param  bool  $incrementWords  whether U W and H are ways along X Z and C
     * @param  bool  $feedModeKeepsF  whether F goes on as a number when the feed mode changes
     * @param  bool  $compensationOnRapid  whether nose compensation may begin and end with a rapid
     * @param  float  $threadPullOff  how long a thread that is said in one block leads out, in leads
     */
    public function __construct(
        public bool $incrementWords = false,
        public ToolWord $toolWord = ToolWord::Number,
        public ToolShift $toolShift = ToolShift::WithNextMove,
        public ArcSense $arcSense = ArcSense::RightHanded,
        public CornerWords $cornerWords = CornerWords::None,
        public AngleWords $angleWords = AngleWords::None,
        public CycleForm $cycleForm = CycleForm::TwoLine,
        public CycleNumbers $intsInCycles = CycleNumbers::LeastIncrements,
        public RoughRetract $roughRetract = RoughRetract::At45,
        public bool $roughLast = true,
        public bool $finishReturns = true,
        public ThreadShift $threadShift = ThreadShift::FirstTouch,
        public float $threadPullOff = 0.0,
        public ClampActs $clampActs = ClampActs::InSurfaceSpeed,
        public StartAngleUnit $startAngleUnit = StartAngleUnit::Thousandths,
        public ThreadDepths $threadDepths = ThreadDepths::Area,
        public bool $feedModeKeepsF = false,
        public OffsetCarries $offsetCarries = OffsetCarries::GeometryAndWear,
        public ChangesTool $changesTool = ChangesTool::OnT,
        public ArcOver180 $arcOver180 = ArcOver180::Allowed,
        public LeadAxis $leadAxis = LeadAxis::Longer,
        public bool $compensationOnRapid = true,
        public RoughKind $roughKind = RoughKind::FirstBlock,
        public WordsInProfile $wordsInProfile = WordsInProfile::InFinish,
        public RoughingCompensation $roughingCompensation = RoughingCompensation::Ignored,
        public SpeedInRapid $surfaceSpeedInRapid = SpeedInRapid::AtEnd,
        public SpeedFrom $surfaceSpeedFrom = SpeedFrom::Part,
        public HolePlane $holePlane = HolePlane::Ignored,
        public HoleReturn $holeReturn = HoleReturn::Initial,
        public SecondSense $secondSense = SecondSense::Own,
        public HomeThrough $home = HomeThrough::Absolute,
    ) {
    }

    /** Whether a word may begin with a comma. */
    public function hasCommaWords(): bool
    {
        return $this->cornerWords === CornerWords::Comma || $this->angleWords === AngleWords::Comma || $this->angleWords === AngleWords::Either;
    }
}
