<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Trace\Quantity;

/** A rapid across the part below the clearance height. */
final class RapidLow implements Check
{
    public function name(): string
    {
        return 'heights.rapid-low';
    }

    public function examine(Evidence $evidence): iterable
    {
        if ($evidence->unitsDiffer()) {
            return; // state.units says so, and every height is off
        }
        foreach (MovesByTool::of($evidence->heights->lowRapids) as [$move, $also]) {
            $top = $evidence->setup->stock?->top() ?? 0.0;
            $clearance = $evidence->setup->clearance ?? 0.0;
            yield new Finding(
                $this->name(), Severity::Caution, $move->line, 1,
                'T{tool} crosses the part at rapid {above} above the stock; the clearance is {clearance}.',
                ['tool' => $move->tool, 'above' => Quantity::length($move->z - $top), 'clearance' => Quantity::length($clearance), 'z' => Quantity::length($move->z)],
                'Lift to the clearance before crossing.', $also,
            );
        }
    }
}
