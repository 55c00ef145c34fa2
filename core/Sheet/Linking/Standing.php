<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Linking;

/** How the lines of an operation in a program stand to its sheet. */
enum Standing: string
{
    /** As the sheet writes them. */
    case Written = 'written';
    /** Changed by hand. */
    case ByHand = 'by-hand';
    /** Changed by hand, and the sheet would write others by now: somebody has to choose. */
    case Both = 'both';
    /** Changed by hand, of an operation the sheet does not make any more. */
    case Left = 'left';
}
