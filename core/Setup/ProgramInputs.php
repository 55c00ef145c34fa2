<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** What the control has besides the program: its switches, and the programs it may call. */
final readonly class ProgramInputs
{
    /**
     * @param  array<string, string>  $subprograms  name => text
     * @param  list<int>  $blockSkip  the skip switches that are on (1 to 9)
     */
    public function __construct(public array $subprograms = [], public array $blockSkip = [], public bool $optionalStop = false)
    {
    }
}
