<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** From where the passes of a thread are shifted along its flank: from the first touch on, or so that the last begins at the programmed start. */
enum ThreadShift: string
{
    case FirstTouch = 'first-touch';
    case ToStart = 'to-start';
}
