<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

/** The passes that make one thread on a lathe, by their numbers in LatheSurvey::$threads. */
final class TurnedThread
{
    /** @var non-empty-list<int> */
    public array $passes;

    /** @var non-empty-list<int> those that set out, and do not go on from another */
    public array $begins;

    /** @param  float  $lead  mm a turn */
    public function __construct(public readonly int $tool, public readonly float $lead, int $first)
    {
        $this->passes = $this->begins = [$first];
    }
}
