<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Language\Expressions\Comparison;
use OakTrace\Core\Language\Expressions\Expression;
use OakTrace\Core\Language\Expressions\Parameters;

/**
 * Watches what the conditions of a program's loops compare, turn for turn: a counter that only ever goes away from its bound, as
 * with a sign that is wrong, will not reach it.
 */
final class LoopWatch
{
    /** A counter that has gone away from its bound at every one of so many turns does not come back. */
    private const AWAY = 1_000;

    /** Nor does one that has come no nearer for so many. */
    private const NO_NEARER = 20_000;

    /** @var array<int, LoopCondition> by the place of the condition */
    private array $conditions = [];

    public function __construct(private readonly Parameters $parameters)
    {
    }

    /**
     * A condition has been worked out.
     *
     * @param  int|null  $leadsTo  place it leads to where it holds; null for one that keeps a loop running
     */
    public function decided(int $place, Expression $condition, bool $holds, ?int $leadsTo): void
    {
        $watched = $this->conditions[$place] ?? null;
        if ($watched === null || $watched->held !== $holds) {
            $this->conditions[$place] = new LoopCondition(Comparison::in($condition), $holds, $leadsTo);
        } else {
            $watched->turn($this->parameters);
        }
    }

    /**
     * What keeps the loop between two places from ending, once that can be told; null where it may end.
     *
     * @param  int  $from  place the run goes back from
     * @param  bool  $isOver  whether the run has used up what it may, so that one of the loops has to be to blame
     * @return array{place: int, comparison: Comparison|null, turns: int}|null
     */
    public function endless(int $to, int $from, int $turns, bool $isOver = false): ?array
    {
        $stuck = null;
        foreach ($this->conditions as $place => $condition) {
            $isOther = $place < $to || $place > $from;
            // A WHILE inside is a loop of its own; a jump that stays inside is no way out, but where it is the one that goes back.
            $staysInside = $condition->leadsTo === null ? $place !== $to : $place !== $from && $condition->leadsTo >= $to && $condition->leadsTo <= $from;
            if ($isOther || $staysInside) {
                continue;
            }
            $comparison = $condition->stuck(self::AWAY, $isOver ? self::AWAY : self::NO_NEARER);
            if ($comparison === null) {
                return null;
            }
            $stuck ??= ['place' => $place, 'comparison' => $comparison, 'turns' => $condition->turns];
        }

        return $stuck ?? ($turns > self::NO_NEARER ? ['place' => $to, 'comparison' => null, 'turns' => $turns] : null);
    }
}
