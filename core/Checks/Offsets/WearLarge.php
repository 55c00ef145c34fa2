<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Offsets;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A wear offset nobody could have worn. */
final class WearLarge extends MillCheck
{
    /** mm (common practice) */
    private const PLAUSIBLE = 0.5;

    public function name(): string
    {
        return 'offsets.wear-large';
    }

    public function why(): string
    {
        return 'Wear is entered in small steps. A large one is a slip of the decimal point, and moves the tool by as much.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach (['H' => $input->setup->tooling->lengthOffsets, 'D' => $input->setup->tooling->diameterOffsets] as $letter => $offsets) {
            foreach ($offsets as $number => $offset) {
                $line = $this->lineOf($input, $letter, $number);
                if (abs($offset->wear) <= self::PLAUSIBLE || $line === null) {
                    continue;
                }
                yield new Finding(
                    $this->name(), Severity::Caution, $line, 1, '{letter}{number} has a wear of {wear}.', [
                        'letter' => $letter, 'number' => $number, 'wear' => Quantity::length($offset->wear),
                    ],
                    'Wear is small: is the decimal point missing, or was the length entered here?', field: 'offsets.'.$letter.'.'.$number,
                );
            }
        }
    }

    /** Where the offset is first in force; null where the program never uses it. */
    private function lineOf(CheckInput $input, string $letter, int $number): ?int
    {
        foreach ($input->trace->states as $at => $state) {
            $used = $letter === 'H' ? $state->length->number === $number
                && $state->length->sinceToolChange : $state->cutter->number === $number && $state->cutter->side !== 0;
            if ($used && isset($input->cuts->firstRow[$at])) {
                return $input->cuts->firstRow[$at];
            }
        }

        return null;
    }
}
