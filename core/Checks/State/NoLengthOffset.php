<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A Z move towards the part with no length offset stated since the tool change. */
final class NoLengthOffset implements Check
{
    public function name(): string
    {
        return 'state.no-length-offset';
    }

    public function examine(Evidence $evidence): iterable
    {
        $first = [];
        foreach ($evidence->cuts->firstDown as $number => $line) {
            $state = $evidence->trace->states[$number];
            if ($state->tool !== 0 && ! $state->lengthSinceToolChange) {
                $first[$state->tool] = min($line, $first[$state->tool] ?? PHP_INT_MAX);
            }
        }
        foreach ($first as $tool => $line) {
            $old = $this->oldNumber($evidence, $tool);
            yield new Finding(
                $this->name(), Severity::Stop, $line, 1,
                $old === 0
                    ? 'T{tool} moves down with no length offset '.($this->hadOne($evidence, $tool) ? 'in force, since it was cancelled' : 'since it was changed in').': its tip is not where the program thinks.'
                    : 'T{tool} moves down with the length offset of the tool before it (H{old}) still in force.',
                ['tool' => $tool, 'old' => $old], 'State {code length-add} {letter lengthNumber}{tool} with the first Z move after the tool change.',
                edit: isset($evidence->setup->lengthOffsets[$tool]) && ! $this->hadOne($evidence, $tool) ? $evidence->amend->lead($this->firstHeight($evidence, $line), Code::LengthAdd, 'H'.$tool) : null,
            );
        }
    }

    /** Whether a length offset of the tool was in force before. */
    private function hadOne(Evidence $evidence, int $tool): bool
    {
        $with = $without = PHP_INT_MAX;
        foreach ($evidence->trace->states as $number => $state) {
            if ($state->tool === $tool && $state->lengthSinceToolChange) {
                $with = min($with, $number);
            } elseif ($state->tool === $tool && isset($evidence->cuts->firstDown[$number])) {
                $without = min($without, $number);
            }
        }

        return $with < $without;
    }

    /** The first line after the tool change that says a height in the part, where the length belongs. */
    private function firstHeight(Evidence $evidence, int $line): int
    {
        $library = $evidence->trace->library;
        $change = $evidence->amend->placeOf($line, Code::ToolChange) ?? $line;
        for ($place = $first = $line; $place > $change; $place = $library->before($place)) {
            $codes = array_column($evidence->setup->machine->control->codesIn($library->text($place)), 'code');
            if (PlacedWord::find($library->text($place), $place, $evidence->setup->machine->lengthAxis()) !== null && array_intersect(array_column($codes, 'value'), [Code::MachineCoordinates->value, Code::Reference->value, Code::SecondReference->value]) === []) {
                $first = $place;
            }
        }

        return $first;
    }

    /** The number of the length offset left over from the tool before. */
    private function oldNumber(Evidence $evidence, int $tool): int
    {
        foreach ($evidence->cuts->firstDown as $number => $line) {
            $state = $evidence->trace->states[$number];
            if ($state->tool === $tool && ! $state->lengthSinceToolChange) {
                return $state->lengthNumber;
            }
        }

        return 0;
    }
}
