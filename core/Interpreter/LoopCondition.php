<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Language\Expressions\Comparison;
use OakTrace\Core\Language\Expressions\Parameters;

/** A condition that has come out alike at every turn of a loop so far, and how far from the other outcome it has been. */
final class LoopCondition
{
    public int $turns = 0;

    /** @var array<int, float> of each comparison, the least distance of its two sides so far */
    private array $nearest = [];

    /** @var array<int, float> and the last */
    private array $last = [];

    /** @var array<int, int> turns since it came nearer */
    private array $since = [];

    /** @var array<int, int> turns on end in which it went away */
    private array $away = [];

    /**
     * @param  list<Comparison>  $comparisons  that decide it; none where it is made of something else
     * @param  int|null  $leadsTo  place it leads to where it holds; null for one that keeps a loop running
     */
    public function __construct(private readonly array $comparisons, public readonly bool $held, public readonly ?int $leadsTo)
    {
    }

    /** One more turn with the same outcome. */
    public function turn(Parameters $parameters): void
    {
        $this->turns++;
        foreach ($this->comparisons as $i => $comparison) {
            $gap = $comparison->gap($parameters);
            $last = $this->last[$i] ?? INF;
            $this->last[$i] = $gap;
            $this->away[$i] = $gap > $last ? ($this->away[$i] ?? 0) + 1 : 0;
            if ($gap < ($this->nearest[$i] ?? INF)) {
                $this->nearest[$i] = $gap;
                $this->since[$i] = 0;
            } else {
                $this->since[$i] = ($this->since[$i] ?? 0) + 1;
            }
        }
    }

    /** A comparison whose sides do not come nearer to each other, where no other does either. */
    public function stuck(int $away, int $noNearer): ?Comparison
    {
        foreach ($this->comparisons as $i => $comparison) {
            if (($this->away[$i] ?? 0) < $away && ($this->since[$i] ?? 0) < $noNearer) {
                return null;
            }
        }

        return $this->comparisons[0] ?? null;
    }
}
