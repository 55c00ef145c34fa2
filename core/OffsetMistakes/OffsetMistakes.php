<?php

declare(strict_types=1);

namespace OakTrace\Core\OffsetMistakes;

use OakTrace\Core\Checks\Reach;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Tip;
use OakTrace\Core\Trace\Trace;

/**
 * What would happen if an offset were entered wrong: for every work and length offset the program uses, each usual mistake
 * and the first limit or material it leads into. The motion is not read again; what the offset carries is shifted.
 */
final class OffsetMistakes
{
    /** What is met, by what it costs. */
    private const WEIGHTS = ['obstacle' => 0, 'stock' => 0, 'below-stock' => 0, 'too-deep' => 0, 'limit' => 1, 'nothing' => 2];

    /** Rows of a run up to which every figure of every entry is tried. */
    private const ROWS = 20_000;

    /** @return list<MistakeResult> by offset and axis, in the order of the setup, crashes first */
    public static function of(Trace $trace, Setup $setup, Reach $reach): array
    {
        if ($setup->machine->isLathe() && $trace->rows() > TurnedMistakes::ROWS) {
            return [];
        }
        if ($setup->machine->isLathe()) {
            $mistakes = [...self::ofWork($trace, $setup, $reach), ...self::ofTurning($trace, $setup)];

            return self::ranked(TurnedMistakes::of($trace, $setup, $reach, $mistakes));
        }
        if (array_diff(AxisName::LINEAR, $trace->axisNames) !== []) {
            return [];
        }
        $tip = Tip::inPart($setup);
        $right = new MistakenRun($setup, $tip, null);
        self::run($trace, $reach, [$right]);
        $mistakes = self::mistakes($trace, $setup, $reach);
        $runs = array_map(static fn (Mistake $mistake): MistakenRun => new MistakenRun($setup, $tip, $mistake, $right->met), $mistakes);
        self::run($trace, $reach, $runs);

        $results = array_map(
            static fn (MistakenRun $run, Mistake $mistake): MistakeResult => $run->result ?? new MistakeResult($mistake, 'nothing'), $runs, $mistakes,
        );

        return self::ranked($results);
    }

    /**
     * By entry, crashes first.
     *
     * @param  list<MistakeResult>  $results
     * @return list<MistakeResult>
     */
    private static function ranked(array $results): array
    {
        // A wrong figure that meets nothing is one of many, and tells nothing.
        $results = array_values(
            array_filter(
                $results,
                static fn (MistakeResult $result): bool => $result->meets !== 'nothing' || ! $result->mistake->isDigit,
            ),
        );
        $entries = array_flip(
            array_values(array_unique(array_map(static fn (MistakeResult $result): string => $result->mistake->offset.$result->mistake->axis, $results))),
        );
        usort(
            $results,
            static fn (MistakeResult $a, MistakeResult $b): int => [$entries[$a->mistake->offset.$a->mistake->axis], self::WEIGHTS[$a->meets]] <=> [
                $entries[$b->mistake->offset.$b->mistake->axis], self::WEIGHTS[$b->meets],
            ],
        );

        return $results;
    }

    /** @param  list<MistakenRun>  $runs */
    private static function run(Trace $trace, Reach $reach, array $runs): void
    {
        foreach ($trace->chunks() as $chunk) {
            $extremes = [];
            foreach (AxisName::LINEAR as $name) {
                $axis = (int) $trace->axis($name);
                $extremes[$axis] = [$reach->extremes($chunk, $axis, false), $reach->extremes($chunk, $axis, true)];
            }
            foreach ($runs as $run) {
                if ($run->result === null) {
                    $run->read($chunk, $trace->states, $extremes);
                }
            }
        }
    }

    /** @return list<Mistake> */
    private static function ofWork(Trace $trace, Setup $setup, Reach $reach): array
    {
        $mistakes = [];
        $most = $setup->machine->isLathe() ? TurnedMistakes::FIGURES : self::ROWS;
        foreach ($setup->workOffsets as $name => $entries) {
            foreach (AxisName::LINEAR as $axis) {
                if (isset($reach->work[$name][$axis])) {
                    $counts = $setup->machine->axes[$axis]->isDiameter ? 2 : 1;
                    $others = array_map(static fn (array $other): float => $counts * ($other[$axis] ?? 0.0), self::besides($setup->workOffsets, $name));
                    $right = $counts * ($entries[$axis] ?? 0.0);
                    array_push(
                        $mistakes, ...Mistake::of($name, $axis, $right, self::likely($others, array_keys($reach->work))),
                        ...($trace->rows() > $most ? [] : Mistake::figures($name, $axis, $right)),
                    );
                }
            }
        }

        return $mistakes;
    }

    /** @return list<Mistake> of the tool offsets of a lathe */
    private static function ofTurning(Trace $trace, Setup $setup): array
    {
        $used = [];
        foreach ($trace->states as $state) {
            $used[$setup->machine->control->options->turning->offsetCarries->geometryOf($state->tool, $state->length->number)] = true;
        }
        $table = $setup->tooling->turningOffsets;
        $mistakes = [];
        foreach (array_intersect_key($table, $used) as $number => $offset) {
            foreach ($offset->axes as $axis => $entry) {
                $counts = $setup->machine->axes[$axis]->isDiameter ? 2 : 1;
                $others = [];
                foreach (self::besides($table, $number) as $other => $row) {
                    $others[Mistake::TOOL.$other] = $counts * (($row->axes[$axis] ?? null)?->total() ?? 0.0);
                }
                $likely = self::likely($others, array_map(static fn (int $other): string => Mistake::TOOL.$other, array_keys($used)));
                array_push(
                    $mistakes, ...Mistake::of(Mistake::TOOL.$number, $axis, $counts * $entry->total(), $likely),
                    ...($trace->rows() > TurnedMistakes::FIGURES ? [] : Mistake::figures(Mistake::TOOL.$number, $axis, $counts * $entry->total())),
                );
            }
        }

        return $mistakes;
    }

    /** @return list<Mistake> */
    private static function mistakes(Trace $trace, Setup $setup, Reach $reach): array
    {
        $mistakes = self::ofWork($trace, $setup, $reach);
        $used = [];
        foreach ($trace->states as $state) {
            if ($state->lengthIsKnown()) {
                $used[$state->length->number] ??= $state->length->shift[(int) $trace->axis($setup->machine->lengthAxis())];
            }
        }
        foreach (array_intersect_key($setup->tooling->lengthOffsets, $used) as $number => $offset) {
            $others = [];
            foreach (self::besides($setup->tooling->lengthOffsets, $number) as $other => $entry) {
                $others['H'.$other] = $entry->total();
            }
            $isTakenOff = abs($used[$number] + $offset->total()) < abs($used[$number] - $offset->total());
            $sign = $isTakenOff ? -1 : 1;
            $likely = self::likely($others, array_map(static fn (int $other): string => 'H'.$other, array_keys($used)));
            array_push(
                $mistakes, ...Mistake::of('H'.$number, $setup->machine->lengthAxis(), $offset->total(), $likely, $sign),
                ...($trace->rows() > self::ROWS ? [] : Mistake::figures('H'.$number, $setup->machine->lengthAxis(), $offset->total(), $sign)),
            );
        }

        return $mistakes;
    }

    /**
     * Of the other entries those that are likely to be typed in the place of one: its neighbours, and those the program uses.
     *
     * @param  array<string, float>  $others  its neighbours first
     * @param  list<string>  $used
     * @return array<string, float>
     */
    private static function likely(array $others, array $used): array
    {
        return array_slice($others, 0, 2, true) + array_intersect_key($others, array_flip($used));
    }

    /**
     * The entries of a table beside one: the two next to it, then the others.
     *
     * @template TKey of int|string
     * @template TEntry
     *
     * @param  array<TKey, TEntry>  $table
     * @param  TKey  $entry
     * @return array<TKey, TEntry>
     */
    private static function besides(array $table, int|string $entry): array
    {
        $at = (int) array_search($entry, array_keys($table), true);

        $after = array_slice($table, $at + 1, null, true);
        $before = array_reverse(array_slice($table, 0, $at, true), true);

        return array_slice($after, 0, 1, true) + array_slice($before, 0, 1, true) + $after + $before;
    }
}
