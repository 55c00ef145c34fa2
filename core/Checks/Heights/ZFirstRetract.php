<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LowMove;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A rapid that leaves the part sideways while Z is still on its way up. */
final class ZFirstRetract extends MillCheck
{
    public function name(): string
    {
        return 'heights.z-first-retract';
    }

    public function why(): string
    {
        return 'Leaving sideways before Z is clear, the tool drags along the wall. It marks the part, or catches it.';
    }

    public function examine(CheckInput $input): iterable
    {
        $fromWithin = array_filter($input->rapidsInTheOpen(), static fn (LowMove $move): bool => $move->isRetract);
        foreach (MovesByTool::of([...$fromWithin, ...$input->heights->slantedRetracts]) as [$move, $also]) {
            $above = $move->z - $input->topAt($move);
            yield new Finding(
                $this->name(), Severity::Caution, $move->line, 1,
                'T{tool} leaves the part in X or Y from {by} '.($above < 0.0 ? 'below the top of' : 'above').' the stock, before Z is clear.',
                ['tool' => $move->tool, 'by' => Quantity::length(abs($above))],
                'Lift Z first, then move X and Y on their own line.', $also, $input->editWriter->apart($move->line, heightFirst: true),
            );
        }
    }
}
