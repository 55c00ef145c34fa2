<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Language\Block;

/** One run of one line: what was before it, what is after it, and its words as they were read. */
final readonly class Moment
{
    public function __construct(public MachineState $before, public MachineState $after, public Block $block)
    {
    }
}
