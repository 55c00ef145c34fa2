<?php

declare(strict_types=1);

namespace OakTrace\Core\OffsetMistakes;

use OakTrace\Core\Checks\Reach;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\Turned\TurnedCut;
use OakTrace\Core\Stock\Turned\TurnedStock;
use OakTrace\Core\Stock\Turned\WrongEntry;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Trace\Trace;

/**
 * What a wrong entry leads to on a lathe. The bar is cut once more with everything the entry carries shifted; what it meets then and did
 * not meet with every entry right is told. Entries of an axis of diameters are diameters.
 */
final class TurnedMistakes
{
    /** Cells are coarse here, mm: what is met by a wrong entry is met by far. */
    private const CELL = 0.25;

    /** Rows of a run up to which every figure of every entry is tried, and up to which anything is. */
    public const FIGURES = 1_000;

    public const ROWS = 5_000;

    /** What a cut may be deeper than with every entry right, mm, where the tool says no more. */
    private const DEEPER = 1.0;

    private ?TurnedStock $right;

    /** @var array<string, int> place and tool => its first row */
    private array $rows = [];

    private function __construct(private readonly Trace $trace, private readonly Setup $setup, private readonly Reach $reach)
    {
        $this->right = $this->cut(null);
    }

    /**
     * @param  list<Mistake>  $mistakes
     * @return list<MistakeResult> in their order
     */
    public static function of(Trace $trace, Setup $setup, Reach $reach, array $mistakes): array
    {
        $run = new self($trace, $setup, $reach);

        return array_map($run->result(...), $mistakes);
    }

    private function result(Mistake $mistake): MistakeResult
    {
        $axis = $this->setup->machine->axisIndex[$mistake->axis];
        $by = $mistake->by() * ($this->setup->machine->axes[$mistake->axis]->isDiameter ? 0.5 : 1.0);
        $isTool = str_starts_with($mistake->offset, Mistake::TOOL);
        $carries = $this->setup->machine->control->options->turning->offsetCarries;
        $wrong = $isTool ? WrongEntry::ofTool((int) substr($mistake->offset, strlen(Mistake::TOOL)), $axis, $by, $carries)
            : WrongEntry::ofWork($mistake->offset, $axis, $by);
        $met = array_filter([$this->pastLimit($mistake, $axis, $wrong), ...$this->incidents($mistake, $this->cut($wrong))]);
        usort($met, fn (MistakeResult $a, MistakeResult $b): int => $this->row($a) <=> $this->row($b));

        return $met[0] ?? new MistakeResult($mistake, 'nothing');
    }

    /** The first row of its tool at its place: blocks of a profile run later than they stand. */
    private function row(MistakeResult $result): int
    {
        if ($this->rows === []) {
            foreach ($this->trace->chunks() as $chunk) {
                $lines = $chunk->lines();
                foreach ($chunk->states() as $row => $number) {
                    $this->rows[$lines[$row].'/'.$this->trace->states[$number]->tool] ??= $chunk->first + $row;
                }
            }
        }

        return $this->rows[$result->place.'/'.$result->tool] ?? 0;
    }

    private function cut(?WrongEntry $wrong): ?TurnedStock
    {
        $stock = TurnedStock::in($this->setup, $wrong, self::CELL);
        if ($stock !== null) {
            $this->trace->show($stock);
        }

        return $stock;
    }

    /** @return list<MistakeResult|null> */
    private function incidents(Mistake $mistake, ?TurnedStock $wrong): array
    {
        if ($wrong === null || $this->right === null) {
            return [];
        }
        $met = [self::first($mistake, 'stock', '', $wrong->rapids, $this->right->rapids)];
        foreach ($wrong->around->collisions as $what => $cuts) {
            $met[] = self::first($mistake, 'obstacle', $what, $cuts, $this->right->around->collisions[$what] ?? []);
        }
        foreach ($wrong->deepest as $tool => $cut) {
            $was = $this->right->deepest[$tool]->by ?? 0.0;
            $may = $this->setup->tooling->tools[$tool]->limits->maxAxialDepth ?? $was + self::DEEPER;
            $met[] = $cut->by > max($may, $was) + self::CELL ? self::told($mistake, 'too-deep', '', $cut) : null;
        }

        return $met;
    }

    /**
     * @param  list<TurnedCut>  $cuts
     * @param  list<TurnedCut>  $right  with every entry right; they are left out
     */
    private static function first(Mistake $mistake, string $meets, string $name, array $cuts, array $right): ?MistakeResult
    {
        $known = array_flip(array_column($right, 'place'));
        foreach ($cuts as $cut) {
            if (! isset($known[$cut->place])) {
                return self::told($mistake, $meets, $name, $cut);
            }
        }

        return null;
    }

    private static function told(Mistake $mistake, string $meets, string $name, TurnedCut $cut): MistakeResult
    {
        return new MistakeResult($mistake, $meets, $name, $cut->place, $cut->tool);
    }

    private function pastLimit(Mistake $mistake, int $axis, WrongEntry $wrong): ?MistakeResult
    {
        $travel = $this->setup->machine->axes[$mistake->axis];
        foreach ($this->trace->chunks() as $chunk) {
            foreach ([[false, $travel->min, '−', -1], [true, $travel->max, '+', 1]] as [$isMost, $limit, $side, $sign]) {
                $row = $limit === null ? null : $this->firstPast($chunk, $axis, $wrong, $isMost, $limit, $sign);
                if ($row !== null) {
                    $state = $this->trace->states[$chunk->states()[$row]];

                    return new MistakeResult($mistake, 'limit', $mistake->axis.$side, $chunk->lines()[$row], $state->tool);
                }
            }
        }

        return null;
    }

    private function firstPast(Chunk $chunk, int $axis, WrongEntry $wrong, bool $isMost, float $limit, int $sign): ?int
    {
        $carried = array_filter($this->trace->states, static fn (State $state): bool => $wrong->carries($state));
        $furthest = $carried === [] ? [] : $this->reach->extremes($chunk, $axis, $isMost);
        [$kinds, $marks] = [$chunk->kinds(), $chunk->marks()];
        foreach ($furthest === [] ? [] : $chunk->states() as $row => $number) {
            if ($kinds[$row] <= MotionKind::ARC && isset($carried[$number])) {
                $by = $wrong->on($axis, $carried[$number], $marks[$row]);
                if ($by !== 0.0 && $sign * ($furthest[$row] + $by - $limit) > 1e-6) {
                    return $row;
                }
            }
        }

        return null;
    }
}
