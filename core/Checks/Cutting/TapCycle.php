<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Cycles\CycleCatalogue;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tap in a cycle that pulls it out of its thread, or a tapping cycle with a tool that is no tap. */
final class TapCycle extends MillCheck
{
    public function name(): string
    {
        return 'cutting.tap-cycle';
    }

    public function why(): string
    {
        return 'A tap can only be turned out of its thread. Anything else breaks it, and no other tool bears the feed of a tap.';
    }

    public function examine(CheckInput $input): iterable
    {
        yield from $this->pulledOut($input);
        $seen = [];
        $cuts = $input->cuts->firstCut;
        asort($cuts);
        foreach ($cuts as $number => $line) {
            $state = $input->trace->states[$number];
            $tool = $input->setup->tooling->tools[$state->tool] ?? null;
            $cycle = CycleCatalogue::inForce($state->cycle);
            $isTap = $tool?->isTap();
            if ($tool === null || $cycle === null || isset($seen[$state->tool]) || $isTap === ($cycle->thread() !== 0)) {
                continue;
            }
            // A head that turns the tap back by itself is fed in and out.
            if ($isTap && $cycle->comesOutAtFeed()) {
                continue;
            }
            $seen[$state->tool] = true;
            yield $isTap
                ? new Finding(
                    $this->name(), Severity::Stop, $line, 1, 'T{tool} is a tap, and the {cycle} pulls it out of its thread at rapid.',
                    ['tool' => $state->tool, 'cycle' => (string) $state->cycle?->words()], 'Use the tapping cycle, {code tap}. Is the right tool called?',
                )
                : new Finding(
                    $this->name(), $tool->kind === ToolKind::EndMill ? Severity::Caution : Severity::Stop, $line, 1,
                    'T{tool} is no tap, and the {cycle} feeds it by the pitch of a thread.',
                    ['tool' => $state->tool, 'cycle' => (string) $state->cycle?->words()],
                    'Call the tap, or use a drilling cycle. If it is a tap, enter its kind and pitch in the setup.',
                    field: $input->toolField($state->tool, 'kind'),
                );
        }
    }

    /**
     * A tap that is fed in by a block of its own, and brought out at rapid.
     *
     * @return iterable<Finding>
     */
    private function pulledOut(CheckInput $input): iterable
    {
        foreach ($input->heights->strokes as $number => [$move, $depth]) {
            $tool = $input->setup->tooling->tools[$number] ?? null;
            $place = $tool?->isTap() !== true ? null : $this->rapidBehind($input, $move->line);
            if ($place !== null) {
                yield new Finding(
                    $this->name(), Severity::Stop, $place, 1, 'T{tool} is a tap {depth} deep in its thread, and is pulled out at rapid.',
                    ['tool' => $number, 'depth' => Quantity::length($depth)], 'Use the tapping cycle, {code tap}.',
                );
            }
        }
    }

    /** Place of the next move after a feed in a block of its own, where it is a rapid up; null where it is not. */
    private function rapidBehind(CheckInput $input, int $line): ?int
    {
        $axis = $input->setup->machine->axisIndex[$input->setup->machine->lengthAxis()] ?? null;
        if ($axis === null) {
            return null;
        }
        $from = null;
        foreach ($input->trace->chunks() as $chunk) {
            [$lines, $kinds, $heights, $marks] = [$chunk->lines(), $chunk->kinds(), $chunk->axis($axis), $chunk->marks()];
            foreach ($lines as $row => $at) {
                if ($at === $line) {
                    $from = $kinds[$row] === MotionKind::FEED && ($marks[$row] & Mark::CYCLE) === 0 ? $heights[$row] : null;
                } elseif ($from !== null && $kinds[$row] <= MotionKind::ARC) {
                    return $kinds[$row] === MotionKind::RAPID && $heights[$row] > $from + 1e-6 ? $at : null;
                }
            }
        }

        return null;
    }
}
