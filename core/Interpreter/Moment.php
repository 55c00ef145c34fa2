<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Cycles\Holes\HoleCall;
use OakTrace\Core\Language\Block;

/** One run of one line: what was before it, what is after it, its words as they were read, and the last hole it made. */
final readonly class Moment
{
    public function __construct(public MachineState $before, public MachineState $after, public Block $block, public ?HoleCall $hole = null)
    {
    }
}
