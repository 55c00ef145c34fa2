<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** What ROUND makes of a value where it stands in a word: X[ROUND[#1]]. Everywhere else it makes a whole number. */
enum RoundInWord: string
{
    /** The least increment of the word, as most controls with such variables do (common practice). */
    case Increment = 'increment';
    /** NISTIR 6556, 3.3.2.4 (from memory). */
    case Whole = 'whole';
}
