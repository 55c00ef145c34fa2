<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** What the P of a dwell is counted in. */
enum DwellUnit: string
{
    case Seconds = 'seconds';
    case Milliseconds = 'milliseconds';
}
