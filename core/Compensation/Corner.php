<?php

declare(strict_types=1);

namespace OakTrace\Core\Compensation;

/** How the tool's centre gets from the end of one offset move to the beginning of the next. */
enum Corner
{
    /** It is there already. */
    case Met;

    /** Straight across, where they have no corner in common. */
    case Straight;

    /** By an arc about the corner. */
    case Round;

    /** On the lines of both moves made longer. */
    case Extended;
}
