<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** How tool lengths are measured in a setup. */
enum LengthSchool: string
{
    /** Negative: from home down to the work zero. */
    case TouchOff = 'touch-off';

    /** Positive: the true length from the gauge line; the work offset carries the rest. */
    case GaugeLine = 'gauge-line';

    /** The sign every length offset of the school has. */
    public function sign(): int
    {
        return $this === self::TouchOff ? -1 : 1;
    }
}
