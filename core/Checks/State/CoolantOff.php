<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tool that is to run with coolant cuts dry. */
final class CoolantOff extends MillCheck
{
    public function name(): string
    {
        return 'state.coolant-off';
    }

    public function why(): string
    {
        return 'The tool was meant to run wet. Dry, chips may weld or pack, and the size drifts with the heat.';
    }

    public function examine(CheckInput $input): iterable
    {
        $seen = [];
        foreach ($input->cuts->firstCut as $number => $line) {
            $state = $input->trace->states[$number];
            $wanted = ($input->setup->tooling->tools[$state->tool] ?? null)?->limits->coolant;
            if ($wanted === null || $wanted === 'off' || $state->coolant->flood || $state->coolant->mist || isset($seen[$state->tool])) {
                continue;
            }
            $seen[$state->tool] = true;
            yield new Finding(
                $this->name(), Severity::Note, $line, 1, 'T{tool} cuts dry here; the setup has {coolant} coolant for it.',
                ['tool' => $state->tool, 'coolant' => $wanted], 'Switch the coolant on after the tool change.',
                edit: $input->editWriter->lead($line, $wanted === 'mist' ? Code::MistOn : Code::FloodOn),
            );
        }
    }
}
