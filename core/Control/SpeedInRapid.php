<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** What a spindle that keeps a surface speed does while the tool goes at rapid. */
enum SpeedInRapid: string
{
    case AtEnd = 'at-end';
    case Follows = 'follows';
    case Held = 'held';
}
