<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** What the number in the cutter offset table is. */
enum DIs: string
{
    case Radius = 'radius';
    case Diameter = 'diameter';
}
