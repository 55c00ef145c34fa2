<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

/** Why what is cut is no longer followed. */
enum UnfollowedReason: string
{
    /** Nobody says where the rotary axis turns the part. */
    case NoCenter = 'no-centre';

    /** The part is turned while the tool is as low as the stock. */
    case TurnsWhileCutting = 'turns-while-cutting';

    /** An axis that does not turn the part over, or two at once. */
    case OtherAxis = 'other-axis';

    /** The stock is given by its heights alone, and shows another side. */
    case ShapeUnknown = 'shape-unknown';

    case TooManySides = 'too-many-sides';
}
