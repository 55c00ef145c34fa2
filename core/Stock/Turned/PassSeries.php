<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

/** Passes beside each other, from one start along one axis: where one takes far more than those before it, one before it is missing. Millimetres. */
final class PassSeries
{
    /** A pass is no shorter. */
    private const LONG = 2.0;

    /** Passes begin beside each other where they begin no further apart along their way. */
    private const BESIDE = 0.5;

    /** So many passes say what is usual, and so many times that is far more (common practice). */
    private const USUAL = 3;

    private const TIMES = 2.0;

    /** What is a graze or less says nothing. */
    private const GRAZE = 0.1;

    /** @var array<int, array{TurnedCut, float}> by tool the pass that takes far more, and what those before it take */
    public array $jumps = [];

    /** @var array<int, array{bool, float, list<float>}> by tool the passes under way: whether along Z, where they begin, what each takes */
    private array $series = [];

    public function take(Stroke $stroke, Removed $removed): void
    {
        [$alongZ, $alongX] = [abs($stroke->to[0] - $stroke->from[0]), abs($stroke->to[1] - $stroke->from[1])];
        if ($stroke->isChord || max($alongZ, $alongX) < self::LONG || ! $stroke->tool->kind->turns()) {
            return;
        }
        [$tool, $isAlong] = [$stroke->tool->number, $alongZ > $alongX];
        [$was, $start, $depths] = $this->series[$tool] ?? [$isAlong, INF, []];
        $begins = $stroke->from[$isAlong ? 0 : 1];
        if ($was !== $isAlong || abs($begins - $start) > self::BESIDE) {
            $depths = [];
        }
        $by = $removed->by();
        if ($by < self::GRAZE) {
            return;
        }
        if (count($depths) >= self::USUAL && ! isset($this->jumps[$tool])) {
            $sorted = $depths;
            sort($sorted);
            $usual = $sorted[intdiv(count($sorted), 2)];
            if ($by > self::TIMES * $usual + self::GRAZE) {
                $this->jumps[$tool] = [$stroke->cut($removed->z, $removed->x, $by), $usual];
            }
        }
        $this->series[$tool] = [$isAlong, $begins, [...$depths, $by]];
    }
}
