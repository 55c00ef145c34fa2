<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

/**
 * What a row of the trace is. Plain numbers, since they stand in a column of a million rows; rows up to ARC move.
 */
final class MotionKind
{
    public const RAPID = 0;

    public const FEED = 1;

    public const ARC = 2;

    public const DWELL = 3;

    public const TOOL = 4;

    public const STOP = 5;

    public const SPINDLE = 6;

    public const COOLANT = 7;

    public const NAMES = ['rapid', 'feed', 'arc', 'dwell', 'tool', 'stop', 'spindle', 'coolant'];
}
