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
    case CentreAbsolute = 'centre-absolute';
    case CentreIncremental = 'centre-incremental';
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
    case ToolChange = 'tool-change';
    case MistOn = 'mist-on';
    case FloodOn = 'flood-on';
    case CoolantOff = 'coolant-off';
    case CallSubprogram = 'call-subprogram';
    case SubprogramEnd = 'subprogram-end';
    case Accepted = 'accepted';

    public function group(): ModalGroup
    {
        return match ($this) {
            self::Rapid, self::Feed, self::ArcClockwise, self::ArcCounterClockwise, self::Thread => ModalGroup::Motion,
            self::CycleOff, self::ChipBreakDrill, self::LeftTap, self::FineBore, self::Drill, self::DrillDwell, self::PeckDrill, self::Tap,
            self::Bore, self::BoreSpindleStop, self::BackBore, self::BoreByHand, self::BoreDwell => ModalGroup::Cycle,
            self::PlaneXY, self::PlaneZX, self::PlaneYZ => ModalGroup::Plane,
            self::UnitsInch, self::UnitsMillimetre => ModalGroup::Units,
            self::CutterOff, self::CutterLeft, self::CutterRight => ModalGroup::Cutter,
            self::ScaleOn, self::ScaleOff => ModalGroup::Scaling,
            self::MirrorOn, self::MirrorOff => ModalGroup::Mirror,
            self::RotateOn, self::RotateOff => ModalGroup::Rotation,
            self::PolarOn, self::PolarOff => ModalGroup::Polar,
            self::SurfaceSpeed, self::SpindleSpeed => ModalGroup::SpeedMode,
            self::CallAfterMoves, self::CallAfterMovesOff => ModalGroup::MacroCall,
            self::LengthAdd, self::LengthSubtract, self::LengthOff => ModalGroup::Length,
            self::WorkOffset, self::ExtendedWorkOffset => ModalGroup::WorkOffset,
            self::ExactStop, self::ContinuousPath => ModalGroup::Path,
            self::Absolute, self::Incremental => ModalGroup::Distance,
            self::CentreAbsolute, self::CentreIncremental => ModalGroup::ArcCentre,
            self::InverseTime, self::FeedPerMinute, self::FeedPerRevolution => ModalGroup::FeedMode,
            self::ReturnInitial, self::ReturnR => ModalGroup::ReturnMode,
            self::SpindleClockwise, self::SpindleCounterClockwise, self::SpindleStop => ModalGroup::Spindle,
            self::MistOn, self::FloodOn, self::CoolantOff => ModalGroup::Coolant,
            self::ProgramStop, self::OptionalStop, self::ProgramEnd => ModalGroup::Stop,
            default => ModalGroup::None,
        };
    }

    /** What the code does, in the words of the state at the cursor. */
    public function words(): string
    {
        return match ($this) {
            self::Feed => 'straight at feed',
            self::Rapid => 'rapid',
            self::ArcClockwise => 'arc, clockwise',
            self::ArcCounterClockwise => 'arc, counter-clockwise',
            self::Thread => 'feed in step with the spindle',
            self::Dwell => 'wait',
            self::SetOffsets => 'set offsets from the program',
            self::PlaneXY => 'arcs and cycles in the plane XY',
            self::PlaneZX => 'arcs and cycles in the plane ZX',
            self::PlaneYZ => 'arcs and cycles in the plane YZ',
            self::UnitsInch => 'lengths in inches',
            self::UnitsMillimetre => 'lengths in millimetres',
            self::Reference => 'through the point given to the reference point',
            self::SecondReference => 'through the point given to the second reference point',
            self::ReferenceCheck => 'to the point given, which must be the reference point',
            self::CutterOff => 'cutter compensation off',
            self::CutterLeft => 'cutter compensation, tool left of the path',
            self::CutterRight => 'cutter compensation, tool right of the path',
            self::LengthAdd => 'tool length offset, added',
            self::LengthSubtract => 'tool length offset, taken off',
            self::LengthOff => 'tool length offset off',
            self::LocalShift => 'shift program zero within the work offset',
            self::MachineCoordinates => 'positions of this block in machine coordinates',
            self::WorkOffset, self::ExtendedWorkOffset => 'work offset',
            self::ExactStop => 'stop exactly at the end of each move',
            self::ExactStopOnce => 'stop exactly at the end of this move',
            self::ContinuousPath => 'run through corners',
            self::CycleOff => 'cycle off',
            self::Absolute => 'positions from program zero',
            self::Incremental => 'positions from where the tool stands',
            self::CentreAbsolute => 'arc centres from program zero',
            self::CentreIncremental => 'arc centres from the start of the arc',
            self::SetPosition => 'call the place where the tool stands by the values given',
            self::CancelSetPosition => 'take back what setting the position shifted',
            self::InverseTime => 'F is turns of the whole move per minute',
            self::FeedPerMinute => 'feed per minute',
            self::FeedPerRevolution => 'feed per revolution',
            self::ReturnInitial => 'cycles go back to the initial level',
            self::ReturnR => 'cycles go back to R',
            self::PolarOn => 'positions as radius and angle',
            self::PolarOff => 'positions as radius and angle, off',
            self::ScaleOn => 'scale the positions that follow',
            self::ScaleOff => 'scaling off',
            self::MirrorOn => 'mirror the positions that follow',
            self::MirrorOff => 'mirror off',
            self::RotateOn => 'rotate the positions that follow',
            self::RotateOff => 'rotation off',
            self::PocketClockwise => 'circular pocket, clockwise',
            self::PocketCounterClockwise => 'circular pocket, counter-clockwise',
            self::CallMacro => 'call a macro with the words of this block',
            self::CallAfterMoves => 'call a macro after every move that follows',
            self::CallAfterMovesOff => 'no macro after moves any more',
            self::SurfaceSpeed => 'S is the surface speed',
            self::SpindleSpeed => 'S is the spindle speed',
            self::ProgramStop => 'stop until the operator goes on',
            self::OptionalStop => 'stop if the optional stop is switched on',
            self::ProgramEnd => 'end of the program',
            self::SpindleClockwise => 'spindle on, clockwise',
            self::SpindleCounterClockwise => 'spindle on, counter-clockwise',
            self::SpindleStop => 'spindle off',
            self::SpindleOrient => 'spindle stops at its orientation',
            self::ToolChange => 'change to the tool called',
            self::MistOn => 'mist coolant on',
            self::FloodOn => 'flood coolant on',
            self::CoolantOff => 'coolant off',
            self::CallSubprogram => 'call a subprogram',
            self::SubprogramEnd => 'end of the subprogram, back to the caller',
            self::Probe => 'probe move, stops at contact',
            self::Accepted => 'accepted, makes no motion',
            self::Drill => 'drilling cycle',
            self::DrillDwell => 'drilling cycle with dwell',
            self::PeckDrill => 'peck drilling cycle',
            self::ChipBreakDrill => 'chip-breaking drilling cycle',
            self::Tap => 'tapping cycle',
            self::LeftTap => 'left-hand tapping cycle',
            self::FineBore => 'fine boring cycle',
            self::Bore, self::BoreSpindleStop, self::BoreByHand, self::BoreDwell => 'boring cycle',
            self::BackBore => 'back boring cycle',
        };
    }
}
