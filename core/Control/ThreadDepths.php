<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** How the passes of a thread cycle go in: each takes the same area, each the same depth, or the same area on one flank and the other in turn. */
enum ThreadDepths: string
{
    case Area = 'area';
    case Constant = 'constant';
    case Zigzag = 'zigzag';
}
