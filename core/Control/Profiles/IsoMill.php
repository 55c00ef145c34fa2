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
                90 => Code::Accepted,
                100 => Code::SetOffsets,
                170 => Code::PlaneXY,
                180 => Code::PlaneZX,
                190 => Code::PlaneYZ,
                200 => Code::UnitsInch,
                210 => Code::UnitsMillimetre,
                280 => Code::Reference,
                300 => Code::SecondReference,
                310 => Code::Probe,
                400 => Code::CutterOff,
                430 => Code::LengthAdd,
                440 => Code::LengthSubtract,
                490 => Code::LengthOff,
                520 => Code::LocalShift,
                530 => Code::MachineCoordinates,
                540 => Code::WorkOffset,
                541 => Code::ExtendedWorkOffset,
                550 => Code::WorkOffset,
                560 => Code::WorkOffset,
                570 => Code::WorkOffset,
                580 => Code::WorkOffset,
                590 => Code::WorkOffset,
                610 => Code::ExactStop,
                640 => Code::ContinuousPath,
                730 => Code::ChipBreakDrill,
                740 => Code::LeftTap,
                760 => Code::FineBore,
                800 => Code::CycleOff,
                810 => Code::Drill,
                820 => Code::DrillDwell,
                830 => Code::PeckDrill,
                840 => Code::Tap,
                850 => Code::Bore,
                860 => Code::BoreSpindleStop,
                870 => Code::BackBore,
                880 => Code::BoreByHand,
                890 => Code::BoreDwell,
                900 => Code::Absolute,
                901 => Code::CentreAbsolute,
                910 => Code::Incremental,
                911 => Code::CentreIncremental,
                920 => Code::SetPosition,
                921 => Code::CancelSetPosition,
                922 => Code::CancelSetPosition,
                930 => Code::InverseTime,
                940 => Code::FeedPerMinute,
                950 => Code::FeedPerRevolution,
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
                190 => Code::SpindleOrient,
                300 => Code::ProgramEnd,
                480 => Code::Accepted,
                490 => Code::Accepted,
                600 => Code::ProgramStop,
            ],
            workOffsets: [540 => 'G54', 550 => 'G55', 560 => 'G56', 570 => 'G57', 580 => 'G58', 590 => 'G59'],
            defaultWorkOffset: 'G54',
            defaultUnits: Units::Millimetre,
            switches: new Switches,
        );
    }
}
