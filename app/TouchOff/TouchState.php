<?php

declare(strict_types=1);

namespace App\TouchOff;

/** How far touching something off has come. */
enum TouchState: string
{
    /** The reading is being taken; whatever comes in between interrupts it. */
    case Begun = 'begun';

    /** The reading is in, and its figure worked out; it counts once it was typed back from the control. */
    case Read = 'read';

    case Trusted = 'trusted';
}
