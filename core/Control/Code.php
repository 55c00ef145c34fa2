<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/**
 * What a G or M code does. A control profile says which number stands for which of these.
 */
enum Code: string
{
    case Rapid = 'rapid';
    case Feed = 'feed';
    case ArcClockwise = 'arc-clockwise';
    case ArcCounterClockwise = 'arc-counter-clockwise';
    case Thread = 'thread';
    case ThreadRising = 'thread-rising';
    case ThreadFalling = 'thread-falling';
    case Probe = 'probe';
    case Dwell = 'dwell';
    case SetOffsets = 'set-offsets';
    case PlaneXY = 'plane-xy';
    case PlaneZX = 'plane-zx';
    case PlaneYZ = 'plane-yz';
    case UnitsInch = 'units-inch';
    case UnitsMillimetre = 'units-millimetre';
    case Reference = 'reference';
    case SecondReference = 'second-reference';
    case ReferenceCheck = 'reference-check';
    case CutterOff = 'cutter-off';
    case CutterLeft = 'cutter-left';
    case CutterRight = 'cutter-right';
    case PocketClockwise = 'pocket-clockwise';
    case PocketCounterClockwise = 'pocket-counter-clockwise';
    case PolarOff = 'polar-off';
    case PolarOn = 'polar-on';
    case ScaleOff = 'scale-off';
    case ScaleOn = 'scale-on';
    case MirrorOff = 'mirror-off';
    case MirrorOn = 'mirror-on';
    case RotateOn = 'rotate-on';
    case RotateOff = 'rotate-off';
    case CallMacro = 'call-macro';
    case CallAfterMoves = 'call-after-moves';
    case CallAfterMovesOff = 'call-after-moves-off';
    case LengthAdd = 'length-add';
    case LengthSubtract = 'length-subtract';
    case LengthOff = 'length-off';
    case LocalShift = 'local-shift';
    case MachineCoordinates = 'machine-coordinates';
    case WorkOffset = 'work-offset';
    case ExtendedWorkOffset = 'extended-work-offset';
    case ExactStop = 'exact-stop';
    case ExactStopOnce = 'exact-stop-once';
    case ContinuousPath = 'continuous-path';
    case CycleOff = 'cycle-off';
    case ChipBreakDrill = 'chip-break-drill';
    case LeftTap = 'left-tap';
    case FineBore = 'fine-bore';
    case Drill = 'drill';
    case DrillDwell = 'drill-dwell';
    case PeckDrill = 'peck-drill';
    case Tap = 'tap';
    case Bore = 'bore';
    case BoreSpindleStop = 'bore-spindle-stop';
    case BackBore = 'back-bore';
    case BoreByHand = 'bore-by-hand';
    case BoreDwell = 'bore-dwell';
    case Absolute = 'absolute';
    case Incremental = 'incremental';
    case CenterAbsolute = 'centre-absolute';
    case CenterIncremental = 'centre-incremental';
    case SetPosition = 'set-position';
    case CancelSetPosition = 'cancel-set-position';
    case InverseTime = 'inverse-time';
    case FeedPerMinute = 'feed-per-minute';
    case FeedPerRevolution = 'feed-per-revolution';
    case SurfaceSpeed = 'surface-speed';
    case SpindleSpeed = 'spindle-speed';
    case ReturnInitial = 'return-initial';
    case ReturnR = 'return-r';
    case ProgramStop = 'program-stop';
    case OptionalStop = 'optional-stop';
    case ProgramEnd = 'program-end';
    case SpindleClockwise = 'spindle-clockwise';
    case SpindleCounterClockwise = 'spindle-counter-clockwise';
    case SpindleStop = 'spindle-stop';
    case SpindleOrient = 'spindle-orient';
    case TailstockIn = 'tailstock-in';
    case TailstockOut = 'tailstock-out';
    case DrivenClockwise = 'driven-clockwise';
    case DrivenCounterClockwise = 'driven-counter-clockwise';
    case DrivenStop = 'driven-stop';
    case PartHeld = 'part-held';
    case PartTurns = 'part-turns';
    case SecondClockwise = 'second-clockwise';
    case SecondCounterClockwise = 'second-counter-clockwise';
    case SecondStop = 'second-stop';
    case SecondForward = 'second-forward';
    case SecondBack = 'second-back';
    case SecondClamp = 'second-clamp';
    case SecondUnclamp = 'second-unclamp';
    case MainClamp = 'main-clamp';
    case MainUnclamp = 'main-unclamp';
    case SpindlesTogether = 'spindles-together';
    case SpindlesInPhase = 'spindles-in-phase';
    case SpindlesApart = 'spindles-apart';
    case CatcherOut = 'catcher-out';
    case CatcherBack = 'catcher-back';
    case PeckDrillAcross = 'peck-drill-across';
    case TapAcross = 'tap-across';
    case BoreAcross = 'bore-across';
    case ToolChange = 'tool-change';
    case MistOn = 'mist-on';
    case FloodOn = 'flood-on';
    case CoolantOff = 'coolant-off';
    case CallSubprogram = 'call-subprogram';
    case CallBlocks = 'call-blocks';
    case SubprogramEnd = 'subprogram-end';
    case TurnAlong = 'turn-along';
    case TurnAcross = 'turn-across';
    case ThreadPass = 'thread-pass';
    case RoughAlong = 'rough-along';
    case RoughAcross = 'rough-across';
    case RoughPattern = 'rough-pattern';
    case FinishShape = 'finish-shape';
    case PeckAlong = 'peck-along';
    case PeckAcross = 'peck-across';
    case ThreadSeries = 'thread-series';
    case Accepted = 'accepted';

    /** Functions of one group exclude each other; those that stand alone are not here. */
    private const GROUPS = [
        self::Rapid->value => ModalGroup::Motion,
        self::Feed->value => ModalGroup::Motion,
        self::ArcClockwise->value => ModalGroup::Motion,
        self::ArcCounterClockwise->value => ModalGroup::Motion,
        self::Thread->value => ModalGroup::Motion,
        self::ThreadRising->value => ModalGroup::Motion,
        self::ThreadFalling->value => ModalGroup::Motion,
        self::TailstockIn->value => ModalGroup::Tailstock,
        self::TailstockOut->value => ModalGroup::Tailstock,
        self::DrivenClockwise->value => ModalGroup::DrivenTool,
        self::DrivenCounterClockwise->value => ModalGroup::DrivenTool,
        self::DrivenStop->value => ModalGroup::DrivenTool,
        self::PartHeld->value => ModalGroup::CAxis,
        self::PartTurns->value => ModalGroup::CAxis,
        self::SecondClockwise->value => ModalGroup::SecondSpindle,
        self::SecondCounterClockwise->value => ModalGroup::SecondSpindle,
        self::SecondStop->value => ModalGroup::SecondSpindle,
        self::SecondForward->value => ModalGroup::SecondPlace,
        self::SecondBack->value => ModalGroup::SecondPlace,
        self::SecondClamp->value => ModalGroup::SecondChuck,
        self::SecondUnclamp->value => ModalGroup::SecondChuck,
        self::MainClamp->value => ModalGroup::MainChuck,
        self::MainUnclamp->value => ModalGroup::MainChuck,
        self::SpindlesTogether->value => ModalGroup::SpindleSync,
        self::SpindlesInPhase->value => ModalGroup::SpindleSync,
        self::SpindlesApart->value => ModalGroup::SpindleSync,
        self::CatcherOut->value => ModalGroup::Catcher,
        self::CatcherBack->value => ModalGroup::Catcher,
        self::PeckDrillAcross->value => ModalGroup::Cycle,
        self::TapAcross->value => ModalGroup::Cycle,
        self::BoreAcross->value => ModalGroup::Cycle,
        self::TurnAlong->value => ModalGroup::Motion,
        self::TurnAcross->value => ModalGroup::Motion,
        self::ThreadPass->value => ModalGroup::Motion,
        self::CycleOff->value => ModalGroup::Cycle,
        self::ChipBreakDrill->value => ModalGroup::Cycle,
        self::LeftTap->value => ModalGroup::Cycle,
        self::FineBore->value => ModalGroup::Cycle,
        self::Drill->value => ModalGroup::Cycle,
        self::DrillDwell->value => ModalGroup::Cycle,
        self::PeckDrill->value => ModalGroup::Cycle,
        self::Tap->value => ModalGroup::Cycle,
        self::Bore->value => ModalGroup::Cycle,
        self::BoreSpindleStop->value => ModalGroup::Cycle,
        self::BackBore->value => ModalGroup::Cycle,
        self::BoreByHand->value => ModalGroup::Cycle,
        self::BoreDwell->value => ModalGroup::Cycle,
        self::PlaneXY->value => ModalGroup::Plane,
        self::PlaneZX->value => ModalGroup::Plane,
        self::PlaneYZ->value => ModalGroup::Plane,
        self::UnitsInch->value => ModalGroup::Units,
        self::UnitsMillimetre->value => ModalGroup::Units,
        self::CutterOff->value => ModalGroup::Cutter,
        self::CutterLeft->value => ModalGroup::Cutter,
        self::CutterRight->value => ModalGroup::Cutter,
        self::ScaleOn->value => ModalGroup::Scaling,
        self::ScaleOff->value => ModalGroup::Scaling,
        self::MirrorOn->value => ModalGroup::Mirror,
        self::MirrorOff->value => ModalGroup::Mirror,
        self::RotateOn->value => ModalGroup::Rotation,
        self::RotateOff->value => ModalGroup::Rotation,
        self::PolarOn->value => ModalGroup::Polar,
        self::PolarOff->value => ModalGroup::Polar,
        self::SurfaceSpeed->value => ModalGroup::SpeedMode,
        self::SpindleSpeed->value => ModalGroup::SpeedMode,
        self::CallAfterMoves->value => ModalGroup::MacroCall,
        self::CallAfterMovesOff->value => ModalGroup::MacroCall,
        self::LengthAdd->value => ModalGroup::Length,
        self::LengthSubtract->value => ModalGroup::Length,
        self::LengthOff->value => ModalGroup::Length,
        self::WorkOffset->value => ModalGroup::WorkOffset,
        self::ExtendedWorkOffset->value => ModalGroup::WorkOffset,
        self::ExactStop->value => ModalGroup::Path,
        self::ContinuousPath->value => ModalGroup::Path,
        self::Absolute->value => ModalGroup::Distance,
        self::Incremental->value => ModalGroup::Distance,
        self::CenterAbsolute->value => ModalGroup::ArcCenter,
        self::CenterIncremental->value => ModalGroup::ArcCenter,
        self::InverseTime->value => ModalGroup::FeedMode,
        self::FeedPerMinute->value => ModalGroup::FeedMode,
        self::FeedPerRevolution->value => ModalGroup::FeedMode,
        self::ReturnInitial->value => ModalGroup::ReturnMode,
        self::ReturnR->value => ModalGroup::ReturnMode,
        self::SpindleClockwise->value => ModalGroup::Spindle,
        self::SpindleCounterClockwise->value => ModalGroup::Spindle,
        self::SpindleStop->value => ModalGroup::Spindle,
        self::MistOn->value => ModalGroup::Coolant,
        self::FloodOn->value => ModalGroup::Coolant,
        self::CoolantOff->value => ModalGroup::Coolant,
        self::ProgramStop->value => ModalGroup::Stop,
        self::OptionalStop->value => ModalGroup::Stop,
        self::ProgramEnd->value => ModalGroup::Stop,
    ];

    /** What each does, in the words of the state at the cursor. */
    private const WORDS = [
        self::Feed->value => 'straight line at feed',
        self::Rapid->value => 'rapid',
        self::ArcClockwise->value => 'arc, clockwise',
        self::ArcCounterClockwise->value => 'arc, counter-clockwise',
        self::Thread->value => 'feed synchronised with the spindle, for threads',
        self::ThreadRising->value => 'thread whose lead grows by K with each turn',
        self::ThreadFalling->value => 'thread whose lead falls by K with each turn',
        self::Dwell->value => 'wait',
        self::SetOffsets->value => 'set offsets from the program',
        self::PlaneXY->value => 'arcs and cycles in the plane XY',
        self::PlaneZX->value => 'arcs and cycles in the plane ZX',
        self::PlaneYZ->value => 'arcs and cycles in the plane YZ',
        self::UnitsInch->value => 'inch units',
        self::UnitsMillimetre->value => 'millimetre units',
        self::Reference->value => 'return to the reference point, by way of the point given',
        self::SecondReference->value => 'return to the second reference point, by way of the point given',
        self::ReferenceCheck->value => 'reference point check',
        self::CutterOff->value => 'cutter compensation off',
        self::CutterLeft->value => 'cutter compensation, tool left of the path',
        self::CutterRight->value => 'cutter compensation, tool right of the path',
        self::LengthAdd->value => 'tool length offset, added',
        self::LengthSubtract->value => 'tool length offset, subtracted',
        self::LengthOff->value => 'tool length offset off',
        self::LocalShift->value => 'shift program zero within the work offset',
        self::MachineCoordinates->value => 'positions of this block in machine coordinates',
        self::WorkOffset->value => 'work offset',
        self::ExtendedWorkOffset->value => 'work offset',
        self::ExactStop->value => 'exact stop after each move',
        self::ExactStopOnce->value => 'exact stop after this move',
        self::ContinuousPath->value => 'cutting mode, corners rounded by the control',
        self::CycleOff->value => 'cycle off',
        self::Absolute->value => 'absolute positions',
        self::Incremental->value => 'incremental positions',
        self::CenterAbsolute->value => 'arc centres from program zero',
        self::CenterIncremental->value => 'arc centres from the start of the arc',
        self::SetPosition->value => 'set the present position to the values given',
        self::CancelSetPosition->value => 'cancel the shift set by position',
        self::InverseTime->value => 'inverse-time feed',
        self::FeedPerMinute->value => 'feed per minute',
        self::FeedPerRevolution->value => 'feed per revolution',
        self::ReturnInitial->value => 'cycles return to the initial level',
        self::ReturnR->value => 'cycles return to R',
        self::PolarOn->value => 'polar coordinates',
        self::PolarOff->value => 'polar coordinates off',
        self::ScaleOn->value => 'scaling',
        self::ScaleOff->value => 'scaling off',
        self::MirrorOn->value => 'mirror image',
        self::MirrorOff->value => 'mirror off',
        self::RotateOn->value => 'rotation',
        self::RotateOff->value => 'rotation off',
        self::PocketClockwise->value => 'circular pocket, clockwise',
        self::PocketCounterClockwise->value => 'circular pocket, counter-clockwise',
        self::CallMacro->value => 'macro call',
        self::CallAfterMoves->value => 'modal macro call, after every move',
        self::CallAfterMovesOff->value => 'modal macro call off',
        self::SurfaceSpeed->value => 'S is the surface speed',
        self::SpindleSpeed->value => 'S is the spindle speed',
        self::ProgramStop->value => 'program stop',
        self::OptionalStop->value => 'optional stop',
        self::ProgramEnd->value => 'end of the program',
        self::SpindleClockwise->value => 'spindle on, clockwise',
        self::SpindleCounterClockwise->value => 'spindle on, counter-clockwise',
        self::SpindleStop->value => 'spindle off',
        self::SpindleOrient->value => 'spindle orientation',
        self::TailstockIn->value => 'tailstock in',
        self::TailstockOut->value => 'tailstock out',
        self::DrivenClockwise->value => 'driven tool on, clockwise',
        self::DrivenCounterClockwise->value => 'driven tool on, counter-clockwise',
        self::DrivenStop->value => 'driven tool off',
        self::PartHeld->value => 'C axis on: the spindle holds the part at an angle',
        self::PartTurns->value => 'C axis off: the spindle turns the part',
        self::SecondClockwise->value => 'second spindle on, clockwise',
        self::SecondCounterClockwise->value => 'second spindle on, counter-clockwise',
        self::SecondStop->value => 'second spindle off',
        self::SecondForward->value => 'second spindle comes to the part',
        self::SecondBack->value => 'second spindle goes back',
        self::SecondClamp->value => 'chuck of the second spindle closes',
        self::SecondUnclamp->value => 'chuck of the second spindle opens',
        self::MainClamp->value => 'chuck of the main spindle closes',
        self::MainUnclamp->value => 'chuck of the main spindle opens',
        self::SpindlesTogether->value => 'both spindles turn at one speed',
        self::SpindlesInPhase->value => 'both spindles turn at one speed and angle',
        self::SpindlesApart->value => 'each spindle turns by itself',
        self::CatcherOut->value => 'part catcher under the part',
        self::CatcherBack->value => 'part catcher back',
        self::ToolChange->value => 'tool change',
        self::MistOn->value => 'mist coolant on',
        self::FloodOn->value => 'flood coolant on',
        self::CoolantOff->value => 'coolant off',
        self::CallSubprogram->value => 'subprogram call',
        self::CallBlocks->value => 'call of blocks of this program',
        self::SubprogramEnd->value => 'end of subprogram, return',
        self::Probe->value => 'probe move, stops at contact',
        self::Accepted->value => 'accepted, makes no motion',
        self::TurnAlong->value => 'turning cycle along Z, back to its start',
        self::TurnAcross->value => 'turning cycle across the face, back to its start',
        self::ThreadPass->value => 'one pass of a thread, back to its start',
        self::RoughAlong->value => 'roughing cycle in passes along Z',
        self::RoughAcross->value => 'roughing cycle in passes across the face',
        self::RoughPattern->value => 'roughing cycle that repeats the shape',
        self::FinishShape->value => 'finishing cycle along the shape',
        self::PeckAlong->value => 'grooving or drilling cycle with pecks along Z',
        self::PeckAcross->value => 'grooving cycle with pecks along X',
        self::ThreadSeries->value => 'threading cycle in passes',
        self::Drill->value => 'drilling cycle',
        self::DrillDwell->value => 'drilling cycle with dwell',
        self::PeckDrill->value => 'peck drilling cycle',
        self::ChipBreakDrill->value => 'chip-breaking drilling cycle',
        self::PeckDrillAcross->value => 'peck drilling cycle along X',
        self::TapAcross->value => 'tapping cycle along X',
        self::BoreAcross->value => 'boring cycle along X (in and out at feed)',
        self::Tap->value => 'tapping cycle',
        self::LeftTap->value => 'left-hand tapping cycle',
        self::FineBore->value => 'fine boring cycle (off the wall with the spindle oriented, then out at rapid)',
        self::Bore->value => 'boring cycle (in and out at feed)',
        self::BoreSpindleStop->value => 'boring cycle (out at rapid with the spindle stopped)',
        self::BoreByHand->value => 'boring cycle (spindle stopped, drawn out by hand)',
        self::BoreDwell->value => 'boring cycle (dwell at the bottom, out at feed)',
        self::BackBore->value => 'back boring cycle (from below, upwards)',
    ];

    public function group(): ModalGroup
    {
        return self::GROUPS[$this->value] ?? ModalGroup::None;
    }

    /** Whether it is a thread in a block of its own. */
    public function isThread(): bool
    {
        return in_array($this, [self::Thread, self::ThreadRising, self::ThreadFalling], true);
    }

    /** Whether it makes holes in the side of a turned part, along X. */
    public function goesAcross(): bool
    {
        return in_array($this, [self::PeckDrillAcross, self::TapAcross, self::BoreAcross], true);
    }

    public function words(): string
    {
        return self::WORDS[$this->value];
    }
}
