<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** When the axes make up for another tool offset: with the next move of each, or in the block of the T. */
enum ToolShift: string
{
    case WithNextMove = 'with-next-move';
    case AtOnce = 'at-once';
}
