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
    case CutterOff = 'cutter-off';
    case LengthAdd = 'length-add';
    case LengthSubtract = 'length-subtract';
    case LengthOff = 'length-off';
    case LocalShift = 'local-shift';
    case MachineCoordinates = 'machine-coordinates';
    case WorkOffset = 'work-offset';
    case ExtendedWorkOffset = 'extended-work-offset';
    case ExactStop = 'exact-stop';
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
    case Accepted = 'accepted';

    public function group(): ModalGroup
    {
        return match ($this) {
            self::Rapid, self::Feed, self::ArcClockwise, self::ArcCounterClockwise => ModalGroup::Motion,
            self::CycleOff, self::ChipBreakDrill, self::LeftTap, self::FineBore, self::Drill, self::DrillDwell, self::PeckDrill, self::Tap,
            self::Bore, self::BoreSpindleStop, self::BackBore, self::BoreByHand, self::BoreDwell => ModalGroup::Cycle,
            self::PlaneXY, self::PlaneZX, self::PlaneYZ => ModalGroup::Plane,
            self::UnitsInch, self::UnitsMillimetre => ModalGroup::Units,
            self::CutterOff => ModalGroup::Cutter,
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
            self::Dwell, self::Reference, self::SecondReference, self::MachineCoordinates, self::ToolChange, self::SpindleOrient, self::Probe,
            self::SetOffsets, self::LocalShift, self::SetPosition, self::CancelSetPosition, self::Accepted => ModalGroup::None,
        };
    }

    /** What the code does, in the words of the state at the cursor. */
    public function words(): string
    {
        return match ($this) {
            self::Feed => 'straight at feed',
            self::Drill => 'drilling cycle',
            self::DrillDwell => 'drilling cycle with dwell',
            self::PeckDrill => 'peck drilling cycle',
            self::ChipBreakDrill => 'chip-breaking drilling cycle',
            self::Tap => 'tapping cycle',
            self::LeftTap => 'left-hand tapping cycle',
            self::FineBore => 'fine boring cycle',
            self::Bore, self::BoreSpindleStop, self::BoreByHand, self::BoreDwell => 'boring cycle',
            self::BackBore => 'back boring cycle',
            default => str_replace('-', ' ', $this->value),
        };
    }
}
