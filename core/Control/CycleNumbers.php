<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** What a number without a point is in P, Q and D of a turning cycle: least increments, or whole units. */
enum CycleNumbers: string
{
    case LeastIncrements = 'increments';
    case Units = 'units';
}
