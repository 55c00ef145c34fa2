<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Trace;

/**
 * For every state of a trace, the lines where it first does the things the state checks ask about. Row numbers of the
 * columns are looked at once, by runs of rows under one state.
 */
final class CutSurvey
{
    /** @var array<int, int> state => line of its first row */
    public array $firstRow = [];

    /** @var array<int, int> state => line of its first cutting move */
    public array $firstCut = [];

    /** @var array<int, int> state => line of its first move that a work offset carries */
    public array $firstCarried = [];

    /** @var array<int, int> state => line of its first move of the length axis towards the part */
    public array $firstDown = [];

    private function __construct(private readonly int $lengthAxis)
    {
    }

    public static function of(Trace $trace, Machine $machine): self
    {
        $survey = new self($machine->axisIndex[$machine->lengthAxis()] ?? -1);
        foreach ($trace->chunks() as $chunk) {
            $survey->take($chunk);
        }

        return $survey;
    }

    private function take(Chunk $chunk): void
    {
        $states = $chunk->states();
        $kinds = $chunk->kinds();
        $lines = $chunk->lines();
        $from = 0;
        for ($row = 1; $row <= $chunk->count; $row++) {
            if ($row < $chunk->count && $states[$row] === $states[$from]) {
                continue;
            }
            $state = $states[$from];
            $this->firstRow[$state] ??= $lines[$from];
            if (! isset($this->firstCut[$state])) {
                for ($i = $from; $i < $row; $i++) {
                    if ($kinds[$i] === MotionKind::FEED || $kinds[$i] === MotionKind::ARC) {
                        $this->firstCut[$state] = $lines[$i];
                        break;
                    }
                }
            }
            if (! isset($this->firstCarried[$state]) || ! isset($this->firstDown[$state])) {
                $this->lookAtMoves($chunk, $state, $from, $row);
            }
            $from = $row;
        }
    }

    private function lookAtMoves(Chunk $chunk, int $state, int $from, int $to): void
    {
        $kinds = $chunk->kinds();
        $marks = $chunk->marks();
        $heights = $this->lengthAxis < 0 ? null : $chunk->axis($this->lengthAxis);
        for ($i = $from; $i < $to; $i++) {
            if ($kinds[$i] > MotionKind::ARC || ($marks[$i] & Mark::MACHINE) !== 0) {
                continue;
            }
            if (($marks[$i] & ((1 << Mark::AXES) - 1)) !== 0) {
                $this->firstCarried[$state] ??= $chunk->lines()[$i];
            }
            if ($heights !== null && ! isset($this->firstDown[$state])
                && $heights[$i] < ($i > 0 ? $heights[$i - 1] : $chunk->before[$this->lengthAxis]) - 1e-9) {
                $this->firstDown[$state] = $chunk->lines()[$i];

                return;
            }
        }
    }
}
