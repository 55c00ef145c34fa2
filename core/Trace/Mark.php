<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

/**
 * Bits of a row's marks. Bits 0 to 11: the axis stands where it does because of the row's work offset, so it moves when
 * the offset is changed. Bits 12 to 23: the program has moved the axis at least once.
 */
final class Mark
{
    public const AXES = 12;

    /** The move is part of a canned cycle. */
    public const CYCLE = 1 << 24;

    /** The target was given in machine coordinates or is the machine's own (reference point, tool change). */
    public const MACHINE = 1 << 25;

    /** The code of this move could not be read as written; it stands for what was readable. */
    public const UNCERTAIN = 1 << 26;

    /** The path of the tool's centre, beside a programmed one. */
    public const COMPENSATED = 1 << 27;

    /** The axes stop at the end of the move, whatever the path mode. */
    public const EXACT = 1 << 28;

    /** A leg of a rapid on which every axis goes at its own rate, and another follows. */
    public const BENT = 1 << 29;

    /** Made by whoever stands at the machine, at a speed nobody has programmed. */
    public const BY_HAND = 1 << 30;

    /** In step with the spindle: a pass of a thread. */
    public const THREAD = 1 << 31;

    public static function tied(int $axis): int
    {
        return 1 << $axis;
    }

    public static function touched(int $axis): int
    {
        return 1 << ($axis + self::AXES);
    }
}
