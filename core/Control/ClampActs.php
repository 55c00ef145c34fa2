<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** When the speed clamp of the program acts. */
enum ClampActs: string
{
    case InSurfaceSpeed = 'surface';
    case Always = 'always';
}
