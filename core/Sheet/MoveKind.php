<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** What one move of an operation is. */
enum MoveKind
{
    case Rapid;
    /** At rapid down in the part, where nothing stands any more. */
    case RapidInside;
    case Feed;
    case Clockwise;
    case CounterClockwise;
    case Dwell;
    /** A stop of the program, with what is to be done. */
    case Stop;
    case Remark;
    /** A cycle at a place; others follow at their places. */
    case Cycle;
    case CutterLeft;
    case CutterRight;
    case CutterOff;
    /** Up to the height where the part is crossed. */
    case Retract;

    /** What it is in a mirror. */
    public function mirrored(): self
    {
        return match ($this) {
            self::Clockwise => self::CounterClockwise,
            self::CounterClockwise => self::Clockwise,
            self::CutterLeft => self::CutterRight,
            self::CutterRight => self::CutterLeft,
            default => $this,
        };
    }
}
