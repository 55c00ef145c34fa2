<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** What of an operation is made. */
enum Only: string
{
    case All = 'all';
    case Rough = 'rough';
    case Finish = 'finish';
}
