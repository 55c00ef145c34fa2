<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A probe that measures with the spindle turning. */
final class ProbeTurns extends MillCheck
{
    public function name(): string
    {
        return 'state.probe-turns';
    }

    public function why(): string
    {
        return 'A stylus that turns is thrown against the wall it is to touch. The probe breaks, and what it measured before is wrong.';
    }

    public function examine(CheckInput $input): iterable
    {
        $cuts = $input->cuts->firstCut;
        asort($cuts);
        $seen = [];
        foreach ($cuts as $number => $line) {
            $state = $input->trace->states[$number];
            $kind = ($input->setup->tooling->tools[$state->tool] ?? null)?->kind;
            if ($kind !== ToolKind::Probe || $state->spindle->turn === 0 || $state->spindle->rpm <= 0.0 || isset($seen[$state->tool])) {
                continue;
            }
            $seen[$state->tool] = true;
            yield new Finding(
                $this->name(), Severity::Stop, $line, 1, 'T{tool} is a probe, and is fed with the spindle turning.', ['tool' => $state->tool],
                'Stop the spindle with {code spindle-stop} before it comes down.', edit: $input->editWriter->before($line, Code::SpindleStop),
            );
        }
    }
}
