<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;

/** The moves of a program in its plane that follow upon one another, as it gives them: where compensation is on, not the path beside them. */
final class Outline
{
    /** Rows of a run up to which it is worth looking: a longer one was not written by hand. */
    private const ROWS = 20_000;

    /** Radians between a move and the way of the cutter beside it, for the rounding of figures. */
    private const BESIDE = 1e-4;

    /** @var array{float, float}|null where the program is in its plane, axes of the machine; null where that has just been chosen */
    private ?array $at = null;

    private ?Plane $plane = null;

    private function __construct(private readonly CheckInput $input)
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
        $outline = new self($input);
        foreach ($input->trace->rows() > self::ROWS ? [] : $input->trace->chunks() as $chunk) {
            yield from $outline->read($chunk);
        }
    }

    /** @return iterable<OutlineMove|null> */
    private function read(Chunk $chunk): iterable
    {
        $index = $this->input->setup->machine->axisIndex;
        [$lines, $states, $marks] = [$chunk->lines(), $chunk->states(), $chunk->marks()];
        [$arcs, $given] = [array_flip($chunk->arcRows()), array_flip($chunk->programmedRows())];
        foreach ($chunk->kinds() as $row => $kind) {
            $plane = $this->input->trace->states[$states[$row]]->modes->plane;
            [$first, $second, $normal] = [$index[$plane->first()] ?? null, $index[$plane->second()] ?? null, $index[$plane->normal()] ?? null];
            if ($first === null || $second === null) {
                yield $this->plane = null;

                continue;
            }
            $step = static fn (int $axis): float => $chunk->axis($axis)[$row] - ($chunk->axis($axis)[$row - 1] ?? $chunk->before[$axis]);
            // What a cycle makes of a contour is no block of the program.
            $isOutline = ($kind === MotionKind::FEED || $kind === MotionKind::ARC) && ($marks[$row] & Mark::CYCLE) === 0
                && ($normal === null || abs($step($normal)) <= 1e-6);
            if (! isset($given[$row]) && ($marks[$row] & Mark::COMPENSATED) !== 0) {
                if (! $isOutline) {
                    yield null;
                }

                continue; // the cutter goes round a corner, or to another level: where the program is does not change
            }
            $to = isset($given[$row]) ? [$chunk->programmedFirst()[$given[$row]], $chunk->programmedSecond()[$given[$row]]]
                : [$chunk->axis($first)[$row], $chunk->axis($second)[$row]];
            $way = [$step($first), $step($second)];
            $this->at = $plane === $this->plane && $this->at !== null ? $this->at : [$to[0] - $way[0], $to[1] - $way[1]];
            $this->plane = $plane;
            yield match (true) {
                // Leading in or out the cutter does not run beside the move, nor into an arc that it just fills.
                ! $isOutline, ! isset($arcs[$row]) && ! self::isBeside($way, [$to[0] - $this->at[0], $to[1] - $this->at[1]]) => null,
                isset($arcs[$row]) => OutlineMove::round(
                    $lines[$row], $this->at, $to, $chunk->arc($arcs[$row])->moved(...$this->toMiddle(isset($given[$row]), $states[$row])),
                ),
                default => OutlineMove::straight($lines[$row], $this->at, $to),
            };
            $this->at = $to;
        }
    }

    /**
     * From the tip of a compensated turning tool to the middle of its nose: that goes about the centre of the programmed arc, its tip about another.
     *
     * @return array{float, float}
     */
    private function toMiddle(bool $isCompensated, int $state): array
    {
        $state = $this->input->trace->states[$state];
        $offset = $isCompensated && $state->modes->plane === Plane::ZX ? $this->input->setup->turningOffset($state->tool, $state->length->number) : null;
        [$z, $x] = $offset?->noseToTip() ?? [0.0, 0.0];

        return [-$z, -$x];
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
