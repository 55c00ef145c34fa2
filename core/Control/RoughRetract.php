<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** How a roughing pass leaves the wall it ends at. */
enum RoughRetract: string
{
    case At45 = '45';
    case SquareToIt = 'x-only';
}
