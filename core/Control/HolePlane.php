<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** Whether hole cycles of a lathe want the plane square to the hole. */
enum HolePlane: string
{
    case Needed = 'needed';
    case Ignored = 'ignored';
}
