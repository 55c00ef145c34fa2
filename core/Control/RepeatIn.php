<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** Where a call says how often the program is run: in a word of its own, or in the digits before the last four of P. */
enum RepeatIn: string
{
    case Word = 'word';
    case LeadingDigits = 'leading-digits';
}
