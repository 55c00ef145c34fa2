<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/**
 * How the passes of a thread cycle go in: each takes the same area, each the same depth, or the same area on one flank and the other in turn;
 * or as many as the cycle says instead of the first depth, of the same area.
 */
enum ThreadDepths: string
{
    case Area = 'area';
    case Constant = 'constant';
    case Zigzag = 'zigzag';
    case Count = 'count';
}
