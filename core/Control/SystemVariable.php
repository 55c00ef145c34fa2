<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** What a parameter number of the control stands for when a program reads it, or gives it a value. */
enum SystemVariable: string
{
    case Position = 'position';
    case MachinePosition = 'machine-position';

    /** Where the last probe move met something. */
    case ProbePosition = 'probe-position';
    case Home = 'home';
    case SecondHome = 'second-home';
    case Shift = 'shift';
    case WorkOffsetNumber = 'work-offset-number';
    case WorkOffsets = 'work-offsets';
    case LengthOffsets = 'length-offsets';
    case Tool = 'tool';
    case Speed = 'speed';
    case Feed = 'feed';
    case LengthNumber = 'length-number';
    case CutterNumber = 'cutter-number';
    case MotionCode = 'motion-code';
    case PlaneCode = 'plane-code';
    case DistanceCode = 'distance-code';
    case UnitsCode = 'units-code';
    case FeedModeCode = 'feed-mode-code';
    case CutterCode = 'cutter-code';
    case LengthCode = 'length-code';
    case CycleCode = 'cycle-code';
    case ReturnCode = 'return-code';
    case WorkOffsetCode = 'work-offset-code';

    /** Counts the time since it was set: first in milliseconds, then in hours. */
    case Timer = 'timer';

    /** Given a value, the control stops with an alarm. */
    case Alarm = 'alarm';

    /** Given a value, it stops with a message until it is started again. */
    case MessageStop = 'message-stop';
}
