<?php

declare(strict_types=1);

namespace OakTrace\Core\Language;

/** What a statement does to the order in which blocks are run. */
enum Flow
{
    case Straight;
    case Jump;
    case JumpIf;
    case OnlyIf;
    case LoopWhile;
    case LoopEnd;
}
