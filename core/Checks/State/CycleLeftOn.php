<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LowMove;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ModalGroup;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A canned cycle nobody cancelled. */
final class CycleLeftOn extends MillCheck
{
    public function name(): string
    {
        return 'state.cycle-left-on';
    }

    public function why(): string
    {
        return 'While a cycle is on, every new X or Y drills a hole. The next tool drills with its own length at the old depth.';
    }

    public function examine(CheckInput $input): iterable
    {
        $remedy = 'Cancel the cycle with {code cycle-off} after its last hole.';
        $noticed = [...$input->folded('cycle-on-at-move'), ...$input->folded('cycle-at-tool-change')];
        usort($noticed, static fn (array $a, array $b): int => $a[0]->line <=> $b[0]->line);
        foreach ($noticed as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                $notice->kind === 'cycle-on-at-move'
                    ? 'The {cycle} is still on: this {axis} is taken as its depth, and the next X or Y makes a hole.'
                    : 'Tool change with the {cycle} still on: the next X or Y makes a hole with the new tool.',
                $notice->figures, $remedy, $also, $this->cancel($input, $notice->line),
            );

            return; // where it is cancelled there, the rest is as it should be
        }
        $beside = self::beside($input);
        if ($beside !== []) {
            yield new Finding(
                $this->name(), Severity::Stop, $beside[0]->line, 1,
                'A hole beside the stock, at X {x} Y {y}: the cycle looks left on.',
                ['x' => Quantity::length($beside[0]->x), 'y' => Quantity::length($beside[0]->y)],
                $remedy.' If the hole is meant, correct the stock.', array_map(static fn (LowMove $move): int => $move->line, $beside),
                $this->cancel($input, $beside[0]->line),
            );
        }
    }

    /**
     * Holes beside the stock that look as if their cycle were left on: where the block that states the cycle makes a hole beside the
     * stock itself, or the places are turned, scaled or polar, they are meant.
     *
     * @return list<LowMove>
     */
    public static function beside(CheckInput $input): array
    {
        $beside = [];
        foreach ($input->heights->holesBeside as $move) {
            if (
                $input->isAstray($move->work) || $input->entryErrors()->explainsAxis(AxisName::X, $move->line)
                || $input->entryErrors()->explainsAxis(AxisName::Y, $move->line)
            ) {
                continue;
            }
            if (self::statesCycle($input, $move->line)) {
                return [];
            }
            $repeats = PlacedWord::find($input->trace->sources->text($move->line), $move->line, $input->setup->machine->control->letters->cycleRepeats);
            if ($repeats !== null && $repeats->value() > 1) {
                continue; // one of a row that is meant, one too many
            }
            $beside[] = $move;
        }
        foreach ($beside === [] ? [] : $input->trace->states as $state) {
            if ($state->modes->polar || $state->placement !== null) {
                return [];
            }
        }

        return $beside;
    }

    private function cancel(CheckInput $input, int $line): ?Edit
    {
        return $input->editWriter->before($line, Code::CycleOff, Code::Rapid);
    }

    /** Whether a line says the cycle's code itself, so that the hole is meant. */
    private static function statesCycle(CheckInput $input, int $place): bool
    {
        foreach ($input->setup->machine->control->codesIn($input->trace->sources->text($place)) as ['code' => $code]) {
            if ($code->group() === ModalGroup::Cycle) {
                return true;
            }
        }

        return false;
    }
}
