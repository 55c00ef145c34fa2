<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A Z move towards the part with no length offset stated since the tool change. */
final class NoLengthOffset extends MillCheck
{
    public function name(): string
    {
        return 'state.no-length-offset';
    }

    public function why(): string
    {
        return 'Without a length offset the control moves the gauge line, not the tip. The tool arrives deeper by its whole length.';
    }

    public function examine(CheckInput $input): iterable
    {
        $first = [];
        foreach ($input->cuts->firstDown as $number => $line) {
            $state = $input->trace->states[$number];
            if ($state->tool !== 0 && ! $state->length->sinceToolChange) {
                $first[$state->tool] = min($line, $first[$state->tool] ?? PHP_INT_MAX);
            }
        }
        foreach ($first as $tool => $line) {
            $old = $this->oldNumber($input, $tool);
            yield new Finding(
                $this->name(), Severity::Stop, $line, 1,
                $old === 0
                    ? 'T{tool} moves down with no length offset '.(
                        $this->isCancelled($input, $line) ? 'active, since it was cancelled' : 'since the tool change'
                    ).': its tip is not where the program thinks.'
                    : 'T{tool} moves down with the length offset of the tool before it (H{old}) still active.',
                ['tool' => $tool, 'old' => $old], 'State {code length-add} {letter lengthNumber}{tool} with the first Z move after the tool change.',
                edit: isset($input->setup->tooling->lengthOffsets[$tool]) && ! $this->isCancelled($input, $line) ? $input->editWriter->lead(
                    $this->firstHeight($input, $line), Code::LengthAdd, 'H'.$tool,
                ) : null,
            );
        }
    }

    /** Whether a length offset was stated after the tool change, and is off again. */
    private function isCancelled(CheckInput $input, int $line): bool
    {
        $change = $input->editWriter->placeOf($line, Code::ToolChange) ?? 0;
        $stated = max($input->editWriter->placeOf($line, Code::LengthAdd), $input->editWriter->placeOf($line, Code::LengthSubtract));

        return $stated > $change;
    }

    /** The first line after the tool change that says a height in the part, where the length belongs. */
    private function firstHeight(CheckInput $input, int $line): int
    {
        $sources = $input->trace->sources;
        $change = $input->editWriter->placeOf($line, Code::ToolChange) ?? $line;
        for ($place = $first = $line; $place > $change; $place = $sources->before($place)) {
            $codes = array_column($input->setup->machine->control->codesIn($sources->text($place)), 'code');
            if (
                PlacedWord::find($sources->text($place), $place, $input->setup->machine->lengthAxis()) !== null
                && array_intersect(
                    array_column($codes, 'value'), [Code::MachineCoordinates->value, Code::Reference->value, Code::SecondReference->value],
                ) === []
            ) {
                $first = $place;
            }
        }

        return $first;
    }

    /** The number of the length offset left over from the tool before. */
    private function oldNumber(CheckInput $input, int $tool): int
    {
        foreach ($input->cuts->firstDown as $number => $line) {
            $state = $input->trace->states[$number];
            if ($state->tool === $tool && ! $state->length->sinceToolChange) {
                return $state->length->number;
            }
        }

        return 0;
    }
}
