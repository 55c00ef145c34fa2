<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A rapid across the part below the clearance height. */
final class RapidLow extends MillCheck
{
    /** So close it touches, mm. */
    private const TOUCH = 0.001;

    public function name(): string
    {
        return 'heights.rapid-low';
    }

    public function why(): string
    {
        return 'Clamps, chips and burrs stand higher than the drawing says. The clearance is there to pass over all of them.';
    }

    public function gaps(CheckInput $input): iterable
    {
        if ($input->setup->margins->clearance === null) {
            yield $this->gap('No clearance given: rapid heights are not checked.', 'clearance');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        if ($input->unitsDiffer()) {
            return; // state.units says so, and every height is off
        }
        if ($input->stock?->isFollowed() === true) {
            yield from $this->asCut($input);

            return;
        }
        foreach (MovesByTool::of($input->heights->lowRapids) as [$move, $also]) {
            $top = $input->topAt($move);
            $clearance = $input->setup->margins->clearance ?? 0.0;
            yield new Finding(
                $this->name(), Severity::Caution, $move->line, 1,
                'T{tool} crosses the part at rapid {by} above the stock; the clearance is {clearance}.',
                [
                    'tool' => $move->tool, 'by' => Quantity::length(max(0.0, $move->z - $top)), 'clearance' => Quantity::length($clearance),
                    'z' => Quantity::length($move->z),
                ],
                'Lift to the clearance before crossing.', $also,
            );
        }
    }

    /**
     * By what stands where it goes: over ground that has been milled away the height counts from there.
     *
     * @return iterable<Finding>
     */
    private function asCut(CheckInput $input): iterable
    {
        foreach ($input->incidents(Incident::RapidLow) as [$cut, $also]) {
            if ($input->cutsAtRapid($cut->line)) {
                continue;
            }
            yield new Finding(
                $this->name(), Severity::Caution, $cut->line, 1,
                $cut->by < self::TOUCH
                    ? 'T{tool} crosses the part at rapid no higher than what stands there; the clearance is {clearance}.'
                    : 'T{tool} crosses the part at rapid {by} above what stands there; the clearance is {clearance}.',
                [
                    'tool' => $cut->tool, 'by' => Quantity::length(max(0.0, $cut->by)),
                    'clearance' => Quantity::length($input->setup->margins->clearance ?? 0.0), 'z' => Quantity::length($cut->z),
                ],
                'Lift to the clearance before crossing.', array_values(array_filter($also, static fn (int $line): bool => ! $input->cutsAtRapid($line))),
            );
        }
    }
}
