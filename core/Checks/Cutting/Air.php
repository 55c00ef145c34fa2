<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A long stretch at feed that takes nothing off. */
final class Air implements Check
{
    public function name(): string
    {
        return 'cutting.air';
    }

    public function examine(Evidence $evidence): iterable
    {
        $longest = $also = [];
        $slips = $evidence->slips();
        foreach ($evidence->stock?->airRuns() ?? [] as $run) {
            if ($slips->explainsDepth($run['line']) || $slips->isSlip('Z', $run['line'])) {
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
                'T{tool} goes {seconds} s at feed without cutting anything.',
                ['tool' => $tool, 'seconds' => (int) round($run['seconds'])],
                'Was it meant to cut? If not, go there at rapid, above the clearance height.', array_values(array_diff(array_unique($also[$tool]), [$run['line']])),
            );
        }
    }
}
