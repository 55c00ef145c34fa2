<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** Whether roughing along a profile makes up for the nose of the tool. */
enum RoughingCompensation: string
{
    case Ignored = 'ignored';
    case Used = 'used';
}
