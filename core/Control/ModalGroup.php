<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** Codes of one group exclude each other; the last one said is in force (NISTIR 6556, modal groups). */
enum ModalGroup: string
{
    case None = 'no group';
    case Motion = 'motion';
    case Cycle = 'cycle';
    case Plane = 'plane';
    case Distance = 'distance mode';
    case ArcCenter = 'arc centre';
    case FeedMode = 'feed mode';
    case Path = 'path mode';
    case Units = 'units';
    case Cutter = 'cutter compensation';
    case Scaling = 'scaling';
    case Mirror = 'mirror';
    case Rotation = 'rotation';
    case Polar = 'polar coordinates';
    case SpeedMode = 'speed mode';
    case MacroCall = 'macro call';
    case Length = 'tool length';
    case ReturnMode = 'return level';
    case WorkOffset = 'work offset';
    case Spindle = 'spindle';
    case Coolant = 'coolant';
    case Stop = 'stop';
    case Tailstock = 'tailstock';
    case DrivenTool = 'driven tool';
    case CAxis = 'C axis';
    case SecondSpindle = 'second spindle';
    case SecondChuck = 'chuck of the second spindle';
    case SecondPlace = 'place of the second spindle';
    case MainChuck = 'chuck of the main spindle';
    case SpindleSync = 'spindles together';
    case Catcher = 'part catcher';
}
