<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A stop with the cutter in the cut, where it rubs and marks; a tool change with the tool in the part. */
final class StopInCut extends MillCheck
{
    public function name(): string
    {
        return 'heights.stop-in-cut';
    }

    public function why(): string
    {
        return 'A tool that stands in the cut rubs and leaves a mark. Somebody may restart with the spindle off.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ([
            [Incident::ChangedInCut, Severity::Stop, 'T{tool} is changed while it stands {by} deep in the part.'],
            [Incident::StopsInCut, Severity::Caution, 'The program stops with T{tool} {by} deep in the part.'],
        ] as [$incident, $severity, $text]) {
            foreach ($input->incidents($incident) as [$cut, $also]) {
                yield new Finding(
                    $this->name(), $severity, $cut->line, 1, $text, ['tool' => $cut->tool, 'by' => Quantity::length($cut->by)],
                    'Lift it clear of the part first.', $also,
                );
            }
        }
    }
}
