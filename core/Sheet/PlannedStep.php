<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** An operation with the moves it makes. */
final readonly class PlannedStep
{
    /**
     * @param  list<Move>  $moves
     * @param  list<Choice>  $choices
     */
    public function __construct(public Step $step, public ?SheetTool $tool, public array $moves, public array $choices)
    {
    }
}
