<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tool brought down close to the part in one rapid after its change. */
final class PlungeRapid extends MillCheck
{
    public function name(): string
    {
        return 'heights.plunge-rapid';
    }

    public function why(): string
    {
        return 'The first move down shows whether the length is right. At rapid, this close, there is no time to see that it is not.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->trace->states as $state) {
            if ($state->modes->units !== $input->setup->units) {
                return; // heights in other units than the stock's say nothing: state.units
            }
        }
        $isKnown = $input->stock?->isFollowed() === true;
        $low = ApproachLow::lines($input);
        foreach ($input->heights->plungeRapids as $move) {
            if ($isKnown && ! isset($low[$move->line])) {
                continue; // what it would come down to has been cut away
            }
            yield new Finding(
                $this->name(), Severity::Stop, $move->line, 1,
                'T{tool} comes down at rapid to {by} above the stock in its first move: its length is not proven yet.',
                ['tool' => $move->tool, 'by' => Quantity::length($move->z - $input->topAt($move))],
                'Stop well above the part first, at a height that can be checked by eye, then come down.',
            );
        }
    }
}
