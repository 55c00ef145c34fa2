<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Checks\Step;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Like passes of one tool on two pieces that take different depths: a step-down forgotten in one vice. */
final class OutOfStep extends MillCheck
{
    /** Deeper than in the other piece by this factor, and by so much, mm, is no rounding. */
    private const FACTOR = 1.5;

    private const APART = 0.2;

    /** Ends of like passes lie as near to each other, mm. */
    private const NEAR = 0.5;

    public function name(): string
    {
        return 'cutting.out-of-step';
    }

    public function why(): string
    {
        return 'Like parts should be cut alike. A missing step in one of them means twice the load there.';
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        $steps = $input->passes->steps();
        foreach ($steps as $step) {
            $key = $step->pass->tool.':'.$step->pass->piece;
            if (isset($told[$key]) || $input->entryErrors()->explainsDepth($step->pass->line)) {
                continue;
            }
            $like = $this->like($step, $steps);
            if ($like === null || $step->depth < self::FACTOR * $like->depth || $step->depth - $like->depth < self::APART || $like->depth <= 0.0) {
                continue;
            }
            $told[$key] = true;
            yield new Finding(
                $this->name(), Severity::Caution, $step->pass->line, 1,
                'T{tool} takes {depth} at {work}; the same pass at {other}, on line {line}, takes {like}.',
                [
                    'tool' => $step->pass->tool, 'depth' => Quantity::length($step->depth), 'work' => $input->setup->stocks()[$step->pass->piece]->workOffset,
                    'other' => $input->setup->stocks()[$like->pass->piece]->workOffset, 'line' => $input->trace->sources->words($like->pass->line),
                    'like' => Quantity::length($like->depth),
                ],
                $this->isPointLost($step, $like) ? 'Is the decimal point of Z right?' : 'Is a pass missing, or does one of the blanks sit higher?',
            );
        }
    }

    /**
     * The pass of the same tool over the same ground to the same height on another piece, or to one a lost point away; null where there is none.
     *
     * @param  list<Step>  $steps
     */
    private function like(Step $step, array $steps): ?Step
    {
        foreach ($steps as $other) {
            [$a, $b] = [$step->pass, $other->pass];
            if ($b->piece !== $a->piece && $b->tool === $a->tool && (abs($b->level - $a->level) < 1e-3 || $this->isPointLost($step, $other))
                && max(abs($b->minX - $a->minX), abs($b->maxX - $a->maxX), abs($b->minY - $a->minY), abs($b->maxY - $a->maxY)) < self::NEAR) {
                return $other;
            }
        }

        return null;
    }

    /** Whether a pass begins where the other does and goes ten or a hundred times as deep. */
    private function isPointLost(Step $step, Step $other): bool
    {
        return abs($step->height - $other->height) < 1e-3 && min(abs($step->depth - 10 * $other->depth), abs($step->depth - 100 * $other->depth)) < 1e-3;
    }
}
