<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A probe that is fed into the stock by a move that does not stop where it touches. */
final class ProbeStrikes extends MillCheck
{
    public function name(): string
    {
        return 'heights.probe-strikes';
    }

    public function why(): string
    {
        return 'Only a probe move stops where the stylus touches. Any other goes on, and the stylus breaks.';
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        foreach ($input->stock?->incidents->of(Incident::ProbeStrikes) ?? [] as $tool => $cuts) {
            foreach ($cuts as $cut) {
                $codes = array_column($input->setup->machine->control->codesIn($input->trace->sources->text($cut->line)), 'code');
                if (isset($told[$tool]) || in_array(Code::Probe, $codes, true)) {
                    continue;
                }
                $told[$tool] = true;
                yield new Finding(
                    $this->name(), Severity::Stop, $cut->line, 1, 'T{tool} is a probe, and is fed {by} into the stock by a move that does not stop at contact.',
                    ['tool' => $tool, 'by' => Quantity::length($cut->by)], 'Write the probe move, or check the position.',
                );
            }
        }
    }
}
