<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** What may be below the depth a drawing gives a hole, which is that of its full diameter. */
enum FloorShape: string
{
    case Flat = 'flat';

    /** The point of a drill. */
    case Cone = 'cone';

    /** Anything. */
    case Open = 'open';
}
