<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** The tools in the machine, and what its offset pages say of them. */
final readonly class Tooling
{
    /**
     * @param  array<int, Tool>  $tools  by number
     * @param  array<int, Offset>  $lengthOffsets  by H number
     * @param  array<int, Offset>  $diameterOffsets  by D number
     * @param  LengthMethod|null  $lengthMethod  how the lengths are measured
     */
    public function __construct(
        public array $tools = [], public array $lengthOffsets = [], public array $diameterOffsets = [], public ?LengthMethod $lengthMethod = null,
    ) {
    }
}
