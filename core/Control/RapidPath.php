<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** How a rapid move reaches its end. */
enum RapidPath: string
{
    case Straight = 'straight';
    case Independent = 'independent';
}
