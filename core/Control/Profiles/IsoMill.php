<?php

declare(strict_types=1);

namespace OakTrace\Core\Control\Profiles;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\Switches;
use OakTrace\Core\Setup\Units;

/** A three-axis mill with the codes of ISO 6983-1 and NISTIR 6556. */
final class IsoMill
{
    public static function profile(): ControlProfile
    {
        return new ControlProfile(
            name: 'iso-mill',
            title: 'ISO mill',
            gCodes: [
                0 => Code::Rapid,
                10 => Code::Feed,
                20 => Code::ArcClockwise,
                30 => Code::ArcCounterClockwise,
                40 => Code::Dwell,
                170 => Code::PlaneXY,
                200 => Code::UnitsInch,
                210 => Code::UnitsMillimetre,
                280 => Code::Reference,
                400 => Code::CutterOff,
                430 => Code::LengthAdd,
                490 => Code::LengthOff,
                530 => Code::MachineCoordinates,
                540 => Code::WorkOffset,
                550 => Code::WorkOffset,
                560 => Code::WorkOffset,
                570 => Code::WorkOffset,
                580 => Code::WorkOffset,
                590 => Code::WorkOffset,
                800 => Code::CycleOff,
                810 => Code::Drill,
                820 => Code::DrillDwell,
                830 => Code::PeckDrill,
                900 => Code::Absolute,
                910 => Code::Incremental,
                940 => Code::FeedPerMinute,
                980 => Code::ReturnInitial,
                990 => Code::ReturnR,
            ],
            mCodes: [
                0 => Code::ProgramStop,
                10 => Code::OptionalStop,
                20 => Code::ProgramEnd,
                30 => Code::SpindleClockwise,
                40 => Code::SpindleCounterClockwise,
                50 => Code::SpindleStop,
                60 => Code::ToolChange,
                70 => Code::MistOn,
                80 => Code::FloodOn,
                90 => Code::CoolantOff,
                300 => Code::ProgramEnd,
            ],
            workOffsets: [540 => 'G54', 550 => 'G55', 560 => 'G56', 570 => 'G57', 580 => 'G58', 590 => 'G59'],
            defaultWorkOffset: 'G54',
            defaultUnits: Units::Millimetre,
            switches: new Switches,
        );
    }
}
