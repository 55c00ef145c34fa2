<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\MotionKind;

/**
 * The level passes of a program, and how deep each goes below what the passes before it left. Without a model of the stock
 * this is an estimate from the ground they cover; it is made for programs with few enough passes to be told apart.
 */
final class PassSurvey implements ChunkReader
{
    /** More passes than this are a surface, which has no step-down to compare. */
    private const MOST = 300;

    /** @var list<Pass> */
    private array $passes = [];

    /** @var list<Step>|null */
    private ?array $steps = null;

    private bool $tooMany = false;

    private ?Pass $current = null;

    public function __construct(private readonly Setup $setup)
    {
    }

    public function take(Chunk $chunk, array $states, array $details): void
    {
        $machine = $this->setup->machine;
        $stock = $this->setup->stock;
        [$ax, $ay, $az] = [$machine->axisIndex['X'] ?? null, $machine->axisIndex['Y'] ?? null, $machine->axisIndex['Z'] ?? null];
        if ($stock === null || $ax === null || $ay === null || $az === null || $this->tooMany) {
            return;
        }
        $work = $machine->ordered($this->setup->workOffsets[$stock->workOffset] ?? []);
        $kinds = $chunk->kinds();
        $lines = $chunk->lines();
        [$xs, $ys, $zs] = [$chunk->axis($ax), $chunk->axis($ay), $chunk->axis($az)];
        foreach ($chunk->runs() as ['from' => $from, 'to' => $to, 'state' => $number]) {
            $state = $states[$number];
            if (! $state->lengthIsKnown() || ! $state->workIsSet) {
                continue;
            }
            [$sx, $sy, $sz] = [$work[$ax] + $state->lengthShift[$ax], $work[$ay] + $state->lengthShift[$ay], $work[$az] + $state->lengthShift[$az]];
            $top = $stock->top() - 0.01 + $sz;
            $fromZ = $from > 0 ? $zs[$from - 1] : $chunk->before[$az];
            for ($row = $from; $row < $to; $row++) {
                $z = $zs[$row];
                if ($z === $fromZ && $z < $top && ($kinds[$row] === MotionKind::FEED || $kinds[$row] === MotionKind::ARC)) {
                    if ($this->current === null) {
                        if (count($this->passes) === self::MOST) {
                            $this->tooMany = true;

                            return;
                        }
                        $this->current = $this->passes[] = new Pass($state->tool, $lines[$row], $z - $sz, ($this->setup->tools[$state->tool] ?? null)?->radius() ?? 0.0);
                        $this->current->include(($row > 0 ? $xs[$row - 1] : $chunk->before[$ax]) - $sx, ($row > 0 ? $ys[$row - 1] : $chunk->before[$ay]) - $sy);
                    }
                    $this->current->include($xs[$row] - $sx, $ys[$row] - $sy);
                } elseif ($z !== $fromZ || $kinds[$row] === MotionKind::TOOL) {
                    $this->current = null;
                }
                $fromZ = $z;
            }
        }
    }

    /** @return list<Step> what each pass over the stock takes, in order */
    public function steps(): array
    {
        if ($this->steps !== null) {
            return $this->steps;
        }
        $this->steps = [];
        $stock = $this->setup->stock;
        if ($stock === null || $this->tooMany) {
            return [];
        }
        $passes = array_filter($this->passes, static fn (Pass $pass): bool => $pass->maxX + $pass->radius > $stock->min[0]
            && $pass->minX - $pass->radius < $stock->max[0] && $pass->maxY + $pass->radius > $stock->min[1] && $pass->minY - $pass->radius < $stock->max[1]);
        $done = [];
        foreach ($passes as $pass) {
            $height = $stock->top();
            $before = [];
            foreach ($done as $step) {
                if ($step->pass->isUnder($pass)) {
                    $height = min($height, $step->pass->level);
                    if ($step->pass->tool === $pass->tool && $step->depth > 0.01) {
                        $before[] = $step;
                    }
                }
            }
            $this->steps[] = $done[] = new Step($pass, $height - $pass->level, $height, $before);
        }

        return $this->steps;
    }
}
