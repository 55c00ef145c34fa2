<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** Which way F of a thread is counted along: the axis that goes further, or Z always. */
enum LeadAxis: string
{
    case Longer = 'longer';
    case AlongZ = 'z';
}
