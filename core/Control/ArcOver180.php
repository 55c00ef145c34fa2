<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** Whether a control goes round by more than half a turn in one block. */
enum ArcOver180: string
{
    case Allowed = 'allowed';
    case Refused = 'refused';
}
