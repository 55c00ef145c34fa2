<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A drill that enters a face not square to it wanders, and may break. */
final class EntryNotSquare extends MillCheck
{
    public function name(): string
    {
        return 'cutting.entry-not-square';
    }

    public function why(): string
    {
        return 'A drill that meets a slope slides before it bites. The hole starts off place, and slender drills break.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->incidents(Incident::DrillAskew) as [$cut, $also]) {
            yield new Finding(
                $this->name(), Severity::Caution, $cut->line, 1,
                'T{tool} drills into a face that is not square to it: {by} higher on one side.',
                ['tool' => $cut->tool, 'by' => Quantity::length($cut->by)],
                'Mill a flat first, or turn the part so that the face is square to the drill.', $also,
            );
        }
    }
}
