<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** What a surface speed is worked out from: how far the tool is from part zero, or X as the program says it, its own shifts included. */
enum SpeedFrom: string
{
    case Part = 'part';
    case Program = 'program';
}
