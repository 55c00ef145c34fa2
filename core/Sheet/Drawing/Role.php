<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Drawing;

/** What a line of the small drawing is. */
enum Role: string
{
    /** The raw part. */
    case Raw = 'raw';
    /** An edge of what is made. */
    case Edge = 'edge';
    /** Something to measure from: a pitch circle, a hole that is there. */
    case Helper = 'helper';
    case Size = 'size';
    case Tool = 'tool';
}
