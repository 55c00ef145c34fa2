<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Control\Plane;
use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Trace;

/** The moves of a program in its plane that follow upon one another, as it gives them: where compensation is on, not the path beside them. */
final class Outline
{
    /** Rows of a run up to which it is worth looking: a longer one was not written by hand. */
    private const ROWS = 20_000;

    /** Radians between a move and the way of the cutter beside it, for the rounding of figures. */
    private const BESIDE = 1e-4;

    /** @var list<OutlineMove|null> null where they break off, and for a move too short to have a direction */
    private array $moves = [];

    /** @var array{float, float}|null where the program is in its plane, axes of the machine; null where that has just been chosen */
    private ?array $at = null;

    private ?Plane $plane = null;

    private function __construct(private readonly Trace $trace, private readonly Setup $setup)
    {
    }

    public static function of(Trace $trace, Setup $setup): self
    {
        $outline = new self($trace, $setup);
        foreach ($trace->rows() > self::ROWS ? [] : $trace->chunks() as $chunk) {
            $outline->read($chunk);
        }

        return $outline;
    }

    /** @return iterable<array{OutlineMove, OutlineMove}> */
    public function pairs(): iterable
    {
        $last = null;
        foreach ($this->moves as $move) {
            if ($move !== null && $last !== null) {
                yield [$last, $move];
            }
            $last = $move;
        }
    }

    /** @return iterable<array{OutlineMove, OutlineMove, OutlineMove}> every arc, between the moves before and behind it */
    public function arcs(): iterable
    {
        $before = $arc = null;
        foreach ($this->moves as $move) {
            if ($before !== null && $arc?->isArc() === true && $move !== null) {
                yield [$before, $arc, $move];
            }
            [$before, $arc] = [$arc, $move];
        }
    }

    private function read(Chunk $chunk): void
    {
        [$kinds, $lines, $states, $marks] = [$chunk->kinds(), $chunk->lines(), $chunk->states(), $chunk->marks()];
        [$arcs, $given] = [array_flip($chunk->arcRows()), array_flip($chunk->programmedRows())];
        $index = $this->setup->machine->axisIndex;
        foreach ($chunk->runs() as ['from' => $from, 'to' => $end, 'state' => $state]) {
            $plane = $this->trace->states[$state]->modes->plane;
            [$first, $second, $normal] = [$index[$plane->first()] ?? null, $index[$plane->second()] ?? null, $index[$plane->normal()] ?? null];
            if ($first === null || $second === null) {
                $this->moves[] = $this->plane = null;

                continue;
            }
            [$xs, $ys, $zs] = [$chunk->axis($first), $chunk->axis($second), $normal === null ? [] : $chunk->axis($normal)];
            [$x, $y, $z] = $from > 0 ? [$xs[$from - 1], $ys[$from - 1], $zs[$from - 1] ?? 0.0]
                : [$chunk->before[$first], $chunk->before[$second], $normal === null ? 0.0 : $chunk->before[$normal]];
            $this->at = $plane === $this->plane && $this->at !== null ? $this->at : [$x, $y];
            $this->plane = $plane;
            for ($row = $from; $row < $end; $row++) {
                $way = [$xs[$row] - $x, $ys[$row] - $y];
                // What a cycle makes of a contour is no block of the program.
                $isOutline = ($kinds[$row] === MotionKind::FEED || $kinds[$row] === MotionKind::ARC) && ($marks[$row] & Mark::CYCLE) === 0
                    && abs(($zs[$row] ?? 0.0) - $z) <= 1e-6;
                [$x, $y, $z] = [$xs[$row], $ys[$row], $zs[$row] ?? 0.0];
                if (! $isOutline) {
                    $this->moves[] = null;
                }
                $isGiven = isset($given[$row]);
                if (! $isGiven && ($marks[$row] & Mark::COMPENSATED) !== 0) {
                    continue; // the cutter goes round a corner, or to another level: where the program is does not change
                }
                $to = $isGiven ? [$chunk->programmedFirst()[$given[$row]], $chunk->programmedSecond()[$given[$row]]] : [$x, $y];
                if ($isOutline) {
                    $this->moves[] = $this->move($lines[$row], $to, $way, isset($arcs[$row]) ? $chunk->arc($arcs[$row]) : null, $isGiven, $state);
                }
                $this->at = $to;
            }
        }
    }

    /**
     * @param  array{float, float}  $to
     * @param  array{float, float}  $way  of the cutter
     * @param  bool  $isCompensated  whether that runs beside the move
     */
    private function move(int $line, array $to, array $way, ?Arc $arc, bool $isCompensated, int $state): ?OutlineMove
    {
        $from = $this->at ?? $to;
        if ($arc !== null) {
            return OutlineMove::round($line, $from, $to, $arc->moved(...$this->toMiddle($isCompensated, $state)));
        }

        // Leading in or out the cutter does not run beside the move, nor into an arc that it just fills.
        return self::isBeside($way, [$to[0] - $from[0], $to[1] - $from[1]]) ? OutlineMove::straight($line, $from, $to) : null;
    }

    /**
     * From the tip of a compensated turning tool to the middle of its nose: that goes about the centre of the programmed arc, its tip about another.
     *
     * @return array{float, float}
     */
    private function toMiddle(bool $isCompensated, int $state): array
    {
        $state = $this->trace->states[$state];
        $offset = $isCompensated && $state->modes->plane === Plane::ZX ? $this->setup->turningOffset($state->tool, $state->length->number) : null;
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
