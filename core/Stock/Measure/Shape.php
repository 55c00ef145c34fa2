<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Measure;

/** What the walls around a place look like from above. */
enum Shape: string
{
    case Round = 'round';

    /** Four sides with rounded corners, or a slot with round ends. */
    case FourSides = 'four-sides';

    /** Two walls that face each other, and no others all round. */
    case Channel = 'channel';

    /** Walls of another shape, or none. */
    case Other = 'other';
}
