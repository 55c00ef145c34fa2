<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A long stretch at feed that takes nothing off. */
final class Air extends MillCheck
{
    public function name(): string
    {
        return 'cutting.air';
    }

    public function why(): string
    {
        return 'Feeding through air costs time on every part. Now and then it also means that something meant to be cut is not.';
    }

    public function examine(CheckInput $input): iterable
    {
        $longest = $also = [];
        $entryErrors = $input->entryErrors();
        foreach ($input->stock?->airRuns() ?? [] as $run) {
            if ($entryErrors->explainsDepth($run['line']) || $entryErrors->isSlip(AxisName::Z, $run['line'])) {
                continue;
            }
            $also[$run['tool']][] = $run['line'];
            if ($run['seconds'] > ($longest[$run['tool']]['seconds'] ?? 0.0)) {
                $longest[$run['tool']] = $run;
            }
        }
        foreach ($longest as $tool => $run) {
            yield new Finding(
                $this->name(), Severity::Note, $run['line'], 1,
                'T{tool} feeds for {seconds} s without cutting.',
                ['tool' => $tool, 'seconds' => (int) round($run['seconds'])],
                'Should it cut here? If not, move at rapid, above the clearance height.',
                $also[$tool],
            );
        }
    }
}
