<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Wording\Finding;

/** Every check there is, in the order their findings are best put right. A new check is a class and a line here. */
final class CheckCatalogue
{
    private const CHECKS = [
        Reading\MachineKind::class,
        Reading\BadWord::class,
        Reading\UnknownCode::class,
        Reading\ModalConflict::class,
        Reading\NoDecimal::class,
        Reading\UnusedWord::class,
        Reading\UndefinedParameter::class,
        Reading\RoundedWord::class,
        Reading\DuplicateNumber::class,
        Reading\NoEnd::class,
        Reading\NoSafeStart::class,
        Flow\MissingProgram::class,
        Flow\NoTarget::class,
        Flow\Alarm::class,
        Flow\Runaway::class,
        Flow\ModeSkipped::class,
        Geometry\ArcImpossible::class,
        Geometry\ArcRadius::class,
        Geometry\ArcNearHalf::class,
        Geometry\ArcReversed::class,
        Geometry\AlmostTangent::class,
        Geometry\RadiusSlip::class,
        Geometry\AngleSlip::class,
        Turning\Profile::class,
        Turning\AllowanceSign::class,
        Turning\CycleStart::class,
        Turning\Angle::class,
        Turning\Taper::class,
        Turning\ArcOver180::class,
        Turning\CompensationAtRapid::class,
        Turning\Corner::class,
        Turning\NoseData::class,
        Turning\WrongSide::class,
        Turning\CompensationMissing::class,
        Turning\NoOffset::class,
        Turning\FeedSense::class,
        Turning\NoClamp::class,
        Turning\LimitLow::class,
        Turning\ChuckSpeed::class,
        Turning\RapidIntoStock::class,
        Turning\Reference::class,
        Turning\RapidNear::class,
        Turning\Zone::class,
        Turning\HolePlane::class,
        Turning\Holder::class,
        Turning\Driven::class,
        Turning\LeftOn::class,
        Turning\Sync::class,
        Turning\Interrupted::class,
        Turning\Neighbour::class,
        Turning\Gouge::class,
        Turning\FeedNose::class,
        Turning\FeedHeavy::class,
        Turning\OnCenter::class,
        Turning\Sideways::class,
        Turning\ThreadSpeed::class,
        Turning\ThreadRunIn::class,
        Turning\ThreadRunOut::class,
        Turning\ThreadCone::class,
        Turning\ThreadLead::class,
        Turning\ThreadDepth::class,
        Turning\ThreadHand::class,
        Turning\ThreadStart::class,
        Turning\Depth::class,
        Turning\SurfaceSpeed::class,
        Turning\SpeedKept::class,
        Turning\OffSize::class,
        Turning\Finish::class,
        Turning\NotFinished::class,
        Turning\SpindleSense::class,
        Turning\Boring::class,
        Turning\GrooveStep::class,
        Turning\Pip::class,
        Turning\CutsNothing::class,
        Turning\Air::class,
        Turning\PastCenter::class,
        Turning\PartOff::class,
        Turning\StickOut::class,
        Turning\GripLoss::class,
        Turning\Index::class,
        Turning\OffsetNumber::class,
        Turning\NotLooked::class,
        Compensation\NoDiameter::class,
        Compensation\Entry::class,
        Compensation\TooTight::class,
        Compensation\TurnsBack::class,
        Compensation\ExitAlong::class,
        Compensation\WrongSide::class,
        Compensation\StripLeft::class,
        Compensation\LookAhead::class,
        State\UnitsStated::class,
        State\NoTool::class,
        State\NoLengthOffset::class,
        State\OffsetNumber::class,
        State\SpindleStopped::class,
        State\SpindleDirection::class,
        State\ProbeTurns::class,
        State\FeedMode::class,
        State\SpeedOver::class,
        State\NoFeed::class,
        State\FeedOver::class,
        State\FeedCarried::class,
        State\Dwell::class,
        State\CoolantOff::class,
        State\CycleLeftOn::class,
        State\CompensationLeftOn::class,
        State\IncrementLeftOn::class,
        State\ShiftLeftOn::class,
        Heights\NoStock::class,
        Heights\DecimalSlip::class,
        Heights\BelowStock::class,
        Heights\RBelowZ::class,
        Heights\RapidIntoStock::class,
        Heights\PlungeRapid::class,
        Heights\ProbeStrikes::class,
        Heights\ApproachLow::class,
        Heights\RapidHitsObstacle::class,
        Heights\RapidLow::class,
        Heights\CombinedApproach::class,
        Heights\ZFirstRetract::class,
        Heights\StopInCut::class,
        Travel\NoAxis::class,
        Travel\NoWorkOffset::class,
        Travel\DoesNotFit::class,
        Travel\Overrun::class,
        Travel\RotaryRadius::class,
        Travel\Table::class,
        Travel\SwingsInto::class,
        Travel\TurnsIntoTool::class,
        Travel\ReferencePath::class,
        Travel\NearLimit::class,
        Cutting\NotFollowed::class,
        Cutting\CutsNothing::class,
        Cutting\PlungeNoCenter::class,
        Cutting\HoleTooSmall::class,
        Cutting\HoleTooLarge::class,
        Cutting\TooDeep::class,
        Cutting\OutOfStep::class,
        Cutting\ThreadClimb::class,
        Cutting\CutTwice::class,
        Cutting\FluteLength::class,
        Cutting\HolderContact::class,
        Cutting\TooWide::class,
        Cutting\EntryNotSquare::class,
        Cutting\Sideways::class,
        Cutting\FullSlot::class,
        Cutting\ThinLeft::class,
        Cutting\OffTarget::class,
        Cutting\OffSize::class,
        Cutting\Power::class,
        Cutting\Deflection::class,
        Cutting\Grip::class,
        Cutting\ThinChip::class,
        Cutting\Air::class,
        Cutting\TapCycle::class,
        Cutting\TapFeed::class,
        Cutting\TapShallow::class,
        Cutting\SmallPeck::class,
        Cutting\RidgeLeft::class,
        Cutting\NeedsPeck::class,
        Cutting\ShallowHole::class,
        Cutting\PlungeFeed::class,
        Cutting\FeedPerTooth::class,
        Cutting\SurfaceSpeed::class,
        Cutting\WorkHardeningPeck::class,
        Offsets\NotSet::class,
        Offsets\NotTrusted::class,
        Offsets\WrongOne::class,
        Offsets\SetByProgram::class,
        Offsets\OddOneOut::class,
        Offsets\LengthDisagrees::class,
        Offsets\Alike::class,
        Offsets\BlanksApart::class,
        Offsets\UnusualPlace::class,
        Offsets\DiameterMismatch::class,
        Offsets\WearLarge::class,
        Offsets\ChangedSinceProof::class,
    ];

    /** @return list<Check> */
    public static function all(): array
    {
        return array_map(static fn (string $class): Check => new $class, self::CHECKS);
    }

    /** @return list<Check> those that mean anything on a machine */
    public static function for(Machine $machine): array
    {
        return array_values(array_filter(self::all(), static fn (Check $check): bool => $check->appliesTo($machine)));
    }

    /**
     * Everything the checks find in the evidence, question by question.
     *
     * @return list<Finding>
     */
    public static function examine(CheckInput $input): array
    {
        $findings = [];
        foreach (self::for($input->setup->machine) as $check) {
            foreach ($check->examine($input) as $finding) {
                $findings[] = ControlNames::in($finding, $input->setup->machine->control);
            }
        }

        return self::withoutRunaway($findings);
    }

    /**
     * Where a run never ends, how far it goes and what it cuts on the way says nothing.
     *
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private static function withoutRunaway(array $findings): array
    {
        if (! in_array('flow.runaway', array_column($findings, 'check'), true)) {
            return $findings;
        }

        return array_values(
            array_filter(
                $findings, static fn (Finding $finding): bool => ! in_array(strstr($finding->check, '.', true), ['travel', 'cutting', 'heights'], true),
            ),
        );
    }
}
