<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** What a coordinate without a decimal point is counted in. */
enum BareNumbers: string
{
    case Units = 'units';
    case LeastIncrements = 'increments';
}
