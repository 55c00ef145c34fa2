<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Offsets;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A work offset in use that is off the usual place of the fixture it is said to be at. */
final class UnusualPlace extends MillCheck
{
    /** A fixture is put back on its keys better than this, mm (common practice). */
    private const OFF = 1.0;

    public function name(): string
    {
        return 'offsets.unusual-place';
    }

    public function why(): string
    {
        return 'A fixture that is always put in one place is found there again. A figure far from it is a slip, or a part on the wrong pins.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach (array_keys($input->reach->work) as $work) {
            $place = $input->setup->places[$work] ?? '';
            foreach ($input->setup->onMachine->places[$place] ?? [] as $axis => $usual) {
                $value = $input->setup->workOffsets[$work][$axis] ?? null;
                if ($value !== null && abs($value - $usual) > self::OFF) {
                    yield new Finding(
                        $this->name(), Severity::Caution, $input->firstBlock(), 1, '{work} {axis} is {value}, {by} off the usual place of “{place}”, {usual}.',
                        [
                            'work' => $work, 'axis' => $axis, 'value' => Quantity::length($value), 'by' => Quantity::length(abs($value - $usual)),
                            'place' => $place, 'usual' => Quantity::length($usual),
                        ],
                        'Touch {axis} off again. If the fixture was moved, say so on the machine’s page.', field: "workOffsets.{$work}.{$axis}",
                    );
                }
            }
        }
    }
}
