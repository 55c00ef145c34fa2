<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** What a size of a turned part is measured on. */
enum TurnedKind: string
{
    case Diameter = 'diameter';
    case Bore = 'bore';

    /** A shoulder, or the end of the part. */
    case Face = 'face';
}
