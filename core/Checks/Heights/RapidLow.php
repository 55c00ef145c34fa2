<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\LowMove;
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
        $within = array_filter($evidence->rapidsInTheOpen(), static fn (LowMove $move): bool => $move->crosses);
        foreach (MovesByTool::of([...$within, ...$evidence->heights->lowRapids]) as [$move, $also]) {
            $top = $evidence->topAt($move);
            $clearance = $evidence->setup->clearance ?? 0.0;
            yield new Finding(
                $this->name(), Severity::Caution, $move->line, 1,
                $move->z < $top ? 'T{tool} crosses the part at rapid {by} below the top of the stock, where it has been cut away.' : 'T{tool} crosses the part at rapid {by} above the stock; the clearance is {clearance}.',
                ['tool' => $move->tool, 'by' => Quantity::length(abs($move->z - $top)), 'clearance' => Quantity::length($clearance), 'z' => Quantity::length($move->z)],
                'Lift to the clearance before crossing.', $also,
            );
        }
    }
}
