<?php

declare(strict_types=1);

namespace OakTrace\Core\Compare;

use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Tip;
use OakTrace\Core\Verification;

/** The moves of a run for comparing: in columns, one value a move; lengths in mm, in the coordinates of the stock. */
final class Moves
{
    /** @var list<int> row of the trace */
    public array $rows = [];

    /** @var list<int> line of the program itself */
    public array $lines = [];

    /** @var list<int> */
    public array $kinds = [];

    /** @var list<float> */
    public array $feeds = [];

    /** @var array{list<float>, list<float>, list<float>} where each ends, X Y Z */
    public array $at = [[], [], []];

    /** @var array<int, Arc> move => its arc */
    public array $arcs = [];

    public static function of(Verification $verification): self
    {
        $moves = new self;
        $machine = $verification->setup->machine;
        $tip = Tip::inPart($verification->setup);
        $axes = array_map(static fn (string $name): ?int => $machine->axisIndex[$name] ?? null, AxisName::LINEAR);
        $lineOf = [];
        foreach ($verification->trace->chunks() as $chunk) {
            $columns = array_map(static fn (?int $axis): ?array => $axis === null ? null : $chunk->axis($axis), $axes);
            $states = $chunk->states();
            $lines = $chunk->lines();
            $feeds = $chunk->feeds();
            $arcs = array_flip($chunk->arcRows());
            $shifts = [];
            foreach ($chunk->kinds() as $row => $kind) {
                if ($kind > MotionKind::ARC) {
                    continue;
                }
                $state = $verification->trace->states[$states[$row]];
                $shift = $shifts[$states[$row]] ??= $tip->shift($state);
                if ($kind === MotionKind::ARC) {
                    [$first, $second] = [$machine->axisIndex[$state->modes->plane->first()], $machine->axisIndex[$state->modes->plane->second()]];
                    $moves->arcs[count($moves->rows)] = $chunk->arc($arcs[$row])->moved(-$shift[$first], -$shift[$second]);
                }
                $moves->rows[] = $chunk->first + $row;
                $moves->lines[] = $lineOf[$lines[$row]] ??= $verification->trace->sources->mainLine($lines[$row]);
                $moves->kinds[] = $kind;
                $moves->feeds[] = $feeds[$row];
                foreach ($axes as $n => $axis) {
                    $moves->at[$n][] = $axis === null ? 0.0 : ($columns[$n][$row] ?? 0.0) - $shift[$axis];
                }
            }
        }

        return $moves;
    }

    public function count(): int
    {
        return count($this->rows);
    }

    /** How far the ends of two moves, and the ends of those before them, stand apart, mm. */
    public function distance(int $move, self $other, int $otherMove): float
    {
        $gap = 0.0;
        foreach ([0, 1] as $back) {
            if ($move < $back || $otherMove < $back) {
                break;
            }
            $squares = 0.0;
            foreach ([0, 1, 2] as $n) {
                $squares += ($this->at[$n][$move - $back] - $other->at[$n][$otherMove - $back]) ** 2;
            }
            $gap = max($gap, sqrt($squares));
        }
        [$arc, $otherArc] = [$this->arcs[$move] ?? null, $other->arcs[$otherMove] ?? null];

        return $arc === null || $otherArc === null ? $gap : max($gap, $arc->radius($otherArc->first, $otherArc->second));
    }
}
