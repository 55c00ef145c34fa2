<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** How cutter compensation goes round an outside corner. */
enum OutsideCorner: string
{
    case Arc = 'arc';
    case Extended = 'extended';
}
