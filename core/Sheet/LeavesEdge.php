<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** An operation whose edge can be chamfered. */
interface LeavesEdge
{
    /** The outline of what it cuts, as answered; only asked of answers its moves were made from. */
    public function edge(Answers $answers, Job $job): Edge;
}
