<?php

declare(strict_types=1);

namespace OakTrace\Core\OffsetMistakes;

use OakTrace\Core\Checks\Reach;
use OakTrace\Core\Kinematics\Tip;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Trace;

/**
 * What would happen if an offset were entered wrong: for every work and length offset the program uses, each usual mistake
 * and the first limit or material it leads into. The motion is not read again; what the offset carries is shifted.
 */
final class OffsetMistakes
{
    /** @return list<Outcome> by offset and axis, in the order of the setup */
    public static function of(Trace $trace, Setup $setup, Reach $reach): array
    {
        if (array_diff(['X', 'Y', 'Z'], $trace->axisNames) !== []) {
            return [];
        }
        $tip = Tip::inPart($setup);
        $right = new Run($setup, $tip, null);
        self::run($trace, $reach, [$right]);
        $mistakes = self::mistakes($trace, $setup, $reach);
        $runs = array_map(static fn (Mistake $mistake): Run => new Run($setup, $tip, $mistake, $right->met), $mistakes);
        self::run($trace, $reach, $runs);

        return array_map(static fn (Run $run, Mistake $mistake): Outcome => $run->outcome ?? new Outcome($mistake, 'nothing'), $runs, $mistakes);
    }

    /** @param  list<Run>  $runs */
    private static function run(Trace $trace, Reach $reach, array $runs): void
    {
        foreach ($trace->chunks() as $chunk) {
            $extremes = [];
            foreach (['X', 'Y', 'Z'] as $name) {
                $axis = (int) $trace->axis($name);
                $extremes[$axis] = [$reach->extremes($chunk, $axis, false), $reach->extremes($chunk, $axis, true)];
            }
            foreach ($runs as $run) {
                if ($run->outcome === null) {
                    $run->take($chunk, $trace->states, $extremes);
                }
            }
        }
    }

    /** @return list<Mistake> */
    private static function mistakes(Trace $trace, Setup $setup, Reach $reach): array
    {
        $mistakes = [];
        foreach ($setup->workOffsets as $name => $entries) {
            foreach (['X', 'Y', 'Z'] as $axis) {
                if (isset($reach->work[$name][$axis])) {
                    $others = array_map(static fn (array $other): float => $other[$axis] ?? 0.0, self::besides($setup->workOffsets, $name));
                    array_push($mistakes, ...Mistake::of($name, $axis, $entries[$axis] ?? 0.0, $others));
                }
            }
        }
        $used = [];
        foreach ($trace->states as $state) {
            if ($state->lengthIsKnown()) {
                $used[$state->lengthNumber] ??= $state->lengthShift[(int) $trace->axis($setup->machine->lengthAxis())];
            }
        }
        foreach (array_intersect_key($setup->lengthOffsets, $used) as $number => $offset) {
            $others = [];
            foreach (self::besides($setup->lengthOffsets, $number) as $other => $entry) {
                $others['H'.$other] = $entry->total();
            }
            $isTakenOff = abs($used[$number] + $offset->total()) < abs($used[$number] - $offset->total());
            array_push($mistakes, ...Mistake::of('H'.$number, $setup->machine->lengthAxis(), $offset->total(), $others, $isTakenOff ? -1 : 1));
        }

        return $mistakes;
    }

    /**
     * The entries of a table beside one: those after it, then those before it.
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

        return array_slice($table, $at + 1, null, true) + array_reverse(array_slice($table, 0, $at, true), true);
    }
}
