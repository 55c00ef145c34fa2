<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** Where F and S in the blocks of a turned profile act. */
enum WordsInProfile: string
{
    case InFinish = 'used-in-finish';
    case Always = 'always';
}
