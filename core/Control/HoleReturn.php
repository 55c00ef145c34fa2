<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** Where hole cycles of a lathe go back to while no code has said. */
enum HoleReturn: string
{
    case Initial = 'initial';
    case R = 'r';
}
