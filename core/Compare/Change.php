<?php

declare(strict_types=1);

namespace OakTrace\Core\Compare;

/** What has become of a move from one text to another. */
enum Change: int
{
    case Same = 0;
    case Moved = 1;
    case New = 2;
    case Gone = 3;
    case OtherFeed = 4;
}
