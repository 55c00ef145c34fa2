<?php

declare(strict_types=1);

namespace OakTrace\Core\Compare;

use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;

/** Two texts compared by what they do: which moves are new, gone or changed, and by how much. */
final readonly class Comparison
{
    /** Nearer than this two moves are the same, mm. */
    private const SAME = 1e-6;

    /** Feeds nearer than this are the same, mm/min. */
    private const SAME_FEED = 1e-6;

    /**
     * @param  array<int, array{change: Change, by: float, other: int|null}>  $after row of the text after => what it is, how far it went,
     *         and the row it was; those that are the same left out
     * @param  array<int, Change>  $before  row of the text before => what has become of it; those that are the same left out
     * @param  list<int>  $gaps  rows of the text after before which moves have gone; one past the last row where the last ones have
     * @param  list<Finding>  $newFindings
     * @param  list<Finding>  $goneFindings
     */
    private function __construct(
        public LineMatch $lines, public array $after, public array $before, public array $gaps, public array $newFindings, public array $goneFindings,
    ) {
    }

    public static function of(Verification $before, Verification $after): self
    {
        $lines = LineMatch::of($before->program, $after->program);
        $match = $lines->after;
        [$was, $is] = [Moves::of($before), Moves::of($after)];
        $matched = array_flip($match);
        $afterRows = $beforeRows = $gaps = [];
        [$i, $j] = [0, 0];
        $pairLine = null;
        while ($i < $was->count() || $j < $is->count()) {
            $wasLine = $was->lines[$i] ?? null;
            $isLine = $is->lines[$j] ?? null;
            $to = $wasLine === null ? null : ($match[$wasLine] ?? null);
            if ($to !== null && $to === $isLine) {
                self::pair($was, $i, $is, $j, $afterRows, $beforeRows);
                [$i, $j, $pairLine] = [$i + 1, $j + 1, $isLine];
            } elseif ($wasLine !== null && ($to === null || $isLine === null || $to === $pairLine || (isset($matched[$isLine]) && $isLine !== $pairLine))) {
                $beforeRows[$was->rows[$i++]] = Change::Gone;
                $gaps[$is->rows[$j] ?? $after->trace->rows()] = true;
            } else {
                $afterRows[$is->rows[$j]] = ['change' => Change::New, 'by' => 0.0, 'other' => null];
                $j++;
            }
        }

        return new self(
            $lines, $afterRows, $beforeRows, array_keys($gaps), self::without($after, $before, $matched), self::without($before, $after, $match),
        );
    }

    /**
     * @param  array<int, array{change: Change, by: float, other: int|null}>  $afterRows
     * @param  array<int, Change>  $beforeRows
     */
    private static function pair(Moves $was, int $i, Moves $is, int $j, array &$afterRows, array &$beforeRows): void
    {
        $isOtherKind = ($was->kinds[$i] === MotionKind::RAPID) !== ($is->kinds[$j] === MotionKind::RAPID);
        $by = $is->distance($j, $was, $i);
        $turnsOther = isset($was->arcs[$i]) !== isset($is->arcs[$j]) || abs(($was->arcs[$i]->sweep ?? 0.0) - ($is->arcs[$j]->sweep ?? 0.0)) > self::SAME;
        if ($by > self::SAME || $isOtherKind || $turnsOther) {
            $afterRows[$is->rows[$j]] = ['change' => Change::Moved, 'by' => $by, 'other' => $was->rows[$i]];
            $beforeRows[$was->rows[$i]] = Change::Moved;
        } elseif (abs($was->feeds[$i] - $is->feeds[$j]) > self::SAME_FEED) {
            $afterRows[$is->rows[$j]] = ['change' => Change::OtherFeed, 'by' => 0.0, 'other' => $was->rows[$i]];
            $beforeRows[$was->rows[$i]] = Change::OtherFeed;
        }
    }

    /**
     * Findings of one reading that the other has not, on the line that stands for theirs.
     *
     * @param  array<int, int>  $lines  of the one => of the other
     * @return list<Finding>
     */
    private static function without(Verification $one, Verification $other, array $lines): array
    {
        $known = [];
        foreach ($other->findings as $finding) {
            $known[$finding->check.' '.$other->trace->sources->mainLine($finding->line)] = true;
        }

        return array_values(array_filter($one->findings, static function (Finding $finding) use ($one, $lines, $known): bool {
            $line = $one->trace->sources->mainLine($finding->line);

            return ! isset($known[$finding->check.' '.($lines[$line] ?? -1)]);
        }));
    }

    /** @return array<string, int> how many moves are new, gone, moved and at another feed */
    public function counts(): array
    {
        $of = static fn (array $rows, Change $change): int => count(
            array_filter($rows, static fn ($row): bool => ($row instanceof Change ? $row : $row['change']) === $change),
        );

        return [
            'new' => $of($this->after, Change::New),
            'gone' => $of($this->before, Change::Gone),
            'moved' => $of($this->after, Change::Moved),
            'otherFeed' => $of($this->after, Change::OtherFeed),
        ];
    }
}
