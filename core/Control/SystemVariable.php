<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** What a parameter number of the control stands for when a program reads it. */
enum SystemVariable: string
{
    case Position = 'position';
    case MachinePosition = 'machine-position';
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
}
