<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;

/** The level moves of a program that follow upon one another, as it gives them: where compensation is on, not the path beside them. */
final class Outline
{
    /** Rows of a run up to which it is worth looking: a longer one was not written by hand. */
    private const ROWS = 20_000;

    /** Radians between a move and the way of the cutter beside it, for the rounding of figures. */
    private const BESIDE = 1e-4;

    /** @var array{float, float}|null where the program is, X and Y of the machine */
    private ?array $at = null;

    /** @param  array{int, int, int}  $axes */
    private function __construct(private readonly CheckInput $input, private readonly array $axes)
    {
    }

    /** @return iterable<array{OutlineMove, OutlineMove}> */
    public static function pairs(CheckInput $input): iterable
    {
        $last = null;
        foreach (self::moves($input) as $move) {
            if ($move !== null && $last !== null) {
                yield [$last, $move];
            }
            $last = $move;
        }
    }

    /** @return iterable<array{OutlineMove, OutlineMove, OutlineMove}> every arc, between the moves before and behind it */
    public static function arcs(CheckInput $input): iterable
    {
        $before = $arc = null;
        foreach (self::moves($input) as $move) {
            if ($before !== null && $arc?->isArc() === true && $move !== null) {
                yield [$before, $arc, $move];
            }
            [$before, $arc] = [$arc, $move];
        }
    }

    /** @return iterable<OutlineMove|null> null where they break off, and for a move too short to have a direction */
    private static function moves(CheckInput $input): iterable
    {
        $axes = $input->setup->machine->linearColumns();
        if ($axes !== null && $input->trace->rows() <= self::ROWS) {
            $outline = new self($input, $axes);
            foreach ($input->trace->chunks() as $chunk) {
                yield from $outline->read($chunk);
            }
        }
    }

    /** @return iterable<OutlineMove|null> */
    private function read(Chunk $chunk): iterable
    {
        [$x, $y, $z] = array_map($chunk->axis(...), $this->axes);
        [$lines, $states, $marks] = [$chunk->lines(), $chunk->states(), $chunk->marks()];
        [$arcs, $given] = [array_flip($chunk->arcRows()), array_flip($chunk->programmedRows())];
        [$first, $second] = [$chunk->programmedFirst(), $chunk->programmedSecond()];
        $this->at ??= [$chunk->before[$this->axes[0]], $chunk->before[$this->axes[1]]];
        foreach ($chunk->kinds() as $row => $kind) {
            $isOutline = ($kind === MotionKind::FEED || $kind === MotionKind::ARC)
                && abs($z[$row] - ($z[$row - 1] ?? $chunk->before[$this->axes[2]])) <= 1e-6
                && $this->input->trace->states[$states[$row]]->modes->plane->normal() === AxisName::Z;
            if (! isset($given[$row]) && ($marks[$row] & Mark::COMPENSATED) !== 0) {
                if (! $isOutline) {
                    yield null;
                }

                continue; // the cutter goes round a corner, or to another level: where the program is does not change
            }
            $to = isset($given[$row]) ? [$first[$given[$row]], $second[$given[$row]]] : [$x[$row], $y[$row]];
            $way = [$x[$row] - ($x[$row - 1] ?? $chunk->before[$this->axes[0]]), $y[$row] - ($y[$row - 1] ?? $chunk->before[$this->axes[1]])];
            yield match (true) {
                // Leading in or out the cutter does not run beside the move, nor into an arc that it just fills.
                ! $isOutline, ! isset($arcs[$row]) && ! self::isBeside($way, [$to[0] - $this->at[0], $to[1] - $this->at[1]]) => null,
                isset($arcs[$row]) => OutlineMove::round($lines[$row], $this->at, $to, $chunk->arc($arcs[$row])),
                default => OutlineMove::straight($lines[$row], $this->at, $to),
            };
            $this->at = $to;
        }
    }

    /**
     * Whether the cutter goes in the direction of a move.
     *
     * @param  array{float, float}  $way  of the cutter
     * @param  array{float, float}  $given  of the move
     */
    private static function isBeside(array $way, array $given): bool
    {
        return abs($way[0] * $given[1] - $way[1] * $given[0]) <= self::BESIDE * hypot(...$way) * hypot(...$given);
    }
}
