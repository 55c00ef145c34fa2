<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Sheet\Drawing\Figure;

/** A kind of operation: what it asks, and the moves it makes of the answers. A new one is a class and a line of the catalogue. */
interface Operation
{
    /** As it stands in a sheet: round-pocket. */
    public function kind(): string;

    /** In words: Round pocket. */
    public function words(): string;

    /** @return list<Ask> in the order they are asked */
    public function asks(): array;

    /** Whether it is done with a tool. */
    public function needsTool(): bool;

    /**
     * The moves in the coordinates of the part, from the first place at clearance height on; the tool is left at clearance height.
     *
     * @throws SheetError naming every answer that is missing or cannot be
     */
    public function moves(Answers $answers, Job $job): Path;

    /** Its small drawing from the answers there are, whether or not all are. */
    public function figure(Answers $answers, Job $job): Figure;
}
