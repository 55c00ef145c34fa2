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
    case Dwell = 'dwell';
    case PlaneXY = 'plane-xy';
    case UnitsInch = 'units-inch';
    case UnitsMillimetre = 'units-millimetre';
    case Reference = 'reference';
    case CutterOff = 'cutter-off';
    case LengthAdd = 'length-add';
    case LengthOff = 'length-off';
    case MachineCoordinates = 'machine-coordinates';
    case WorkOffset = 'work-offset';
    case CycleOff = 'cycle-off';
    case Drill = 'drill';
    case DrillDwell = 'drill-dwell';
    case PeckDrill = 'peck-drill';
    case Absolute = 'absolute';
    case Incremental = 'incremental';
    case FeedPerMinute = 'feed-per-minute';
    case ReturnInitial = 'return-initial';
    case ReturnR = 'return-r';
    case ProgramStop = 'program-stop';
    case OptionalStop = 'optional-stop';
    case ProgramEnd = 'program-end';
    case SpindleClockwise = 'spindle-clockwise';
    case SpindleCounterClockwise = 'spindle-counter-clockwise';
    case SpindleStop = 'spindle-stop';
    case ToolChange = 'tool-change';
    case MistOn = 'mist-on';
    case FloodOn = 'flood-on';
    case CoolantOff = 'coolant-off';

    public function group(): ModalGroup
    {
        return match ($this) {
            self::Rapid, self::Feed, self::ArcClockwise, self::ArcCounterClockwise => ModalGroup::Motion,
            self::CycleOff, self::Drill, self::DrillDwell, self::PeckDrill => ModalGroup::Cycle,
            self::PlaneXY => ModalGroup::Plane,
            self::UnitsInch, self::UnitsMillimetre => ModalGroup::Units,
            self::CutterOff => ModalGroup::Cutter,
            self::LengthAdd, self::LengthOff => ModalGroup::Length,
            self::WorkOffset => ModalGroup::WorkOffset,
            self::Absolute, self::Incremental => ModalGroup::Distance,
            self::FeedPerMinute => ModalGroup::FeedMode,
            self::ReturnInitial, self::ReturnR => ModalGroup::ReturnMode,
            self::SpindleClockwise, self::SpindleCounterClockwise, self::SpindleStop => ModalGroup::Spindle,
            self::MistOn, self::FloodOn, self::CoolantOff => ModalGroup::Coolant,
            self::ProgramStop, self::OptionalStop, self::ProgramEnd => ModalGroup::Stop,
            self::Dwell, self::Reference, self::MachineCoordinates, self::ToolChange => ModalGroup::None,
        };
    }

    /** What the code does, in the words of the state at the cursor. */
    public function words(): string
    {
        return match ($this) {
            self::Rapid => 'rapid',
            self::Feed => 'straight at feed',
            self::ArcClockwise => 'arc clockwise',
            self::ArcCounterClockwise => 'arc counter-clockwise',
            self::Drill => 'drilling cycle',
            self::DrillDwell => 'drilling cycle with dwell',
            self::PeckDrill => 'peck drilling cycle',
            default => str_replace('-', ' ', $this->value),
        };
    }
}
