<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** An operation with the moves it makes. */
final readonly class PlannedStep
{
    /**
     * @param  list<Move>  $moves
     * @param  list<Choice>  $choices
     * @param  list<Placed>|null  $copies  where its moves are made by calls of a subprogram; null where they are made as they are
     * @param  list<array{float, float, float}>  $openings  where it comes down in a hole or beside the raw part, see Job
     * @param  list<string>|null  $offsets  where it is made; at all of the sheet's where not given
     */
    public function __construct(
        public Step $step,
        public ?SheetTool $tool,
        public array $moves,
        public array $choices,
        public ?array $offsets = null,
        public ?array $copies = null,
        public array $openings = [],
    ) {
    }
}
