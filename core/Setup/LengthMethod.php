<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** How tool lengths are measured in a setup. */
enum LengthMethod: string
{
    /** Negative: from home down to the work zero. */
    case TouchOff = 'touch-off';

    /** Positive: the true length from the gauge line; the work offset carries the rest. */
    case GaugeLine = 'gauge-line';

    /** By how much longer a tool is than the master tool, which the work zero was set with; of either sign, or nothing. */
    case MasterTool = 'master-tool';

    /** The sign every length offset of the school has; 0 where they have either. */
    public function sign(): int
    {
        return match ($this) {
            self::TouchOff => -1,
            self::GaugeLine => 1,
            self::MasterTool => 0,
        };
    }
}
