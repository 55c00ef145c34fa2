<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Offsets;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Like blanks at two work offsets, one of which stands higher than the other. */
final class BlanksApart extends MillCheck
{
    /** Like blanks in like vices differ by less, mm (common practice). */
    private const APART = 1.0;

    /** Blanks this much alike are of one kind, mm. */
    private const ALIKE = 0.01;

    public function name(): string
    {
        return 'offsets.blanks-apart';
    }

    public function why(): string
    {
        return 'Equal blanks on equal seats should touch off alike. A difference is a chip under one of them, or a slip in one reading.';
    }

    public function examine(CheckInput $input): iterable
    {
        $stocks = $input->setup->stocks();
        foreach ($stocks as $i => $one) {
            foreach (array_slice($stocks, $i + 1) as $two) {
                $by = ($input->setup->workOffsets[$two->workOffset][AxisName::Z] ?? 0.0) - ($input->setup->workOffsets[$one->workOffset][AxisName::Z] ?? 0.0);
                if (
                    abs($by) <= self::APART || ! self::areAlike($one, $two)
                    || ! isset($input->reach->work[$one->workOffset], $input->reach->work[$two->workOffset])
                ) {
                    continue;
                }
                yield new Finding(
                    $this->name(), Severity::Caution, $input->firstBlock(), 1, 'The blanks at {one} and {two} are alike, and Z of {two} is {by} '
                        .($by > 0 ? 'higher' : 'lower').'.',
                    [
                        'one' => $one->workOffset, 'two' => $two->workOffset, 'by' => Quantity::length(abs($by)),
                    ], 'Do they sit at different heights? If not, touch {two} off again.', field: 'workOffsets.'.$two->workOffset.'.Z',
                );
            }
        }
    }

    private static function areAlike(Stock $one, Stock $two): bool
    {
        foreach ([0, 1, 2] as $axis) {
            [$low, $high] = [$one->around->low->on($axis) - $two->around->low->on($axis), $one->around->high->on($axis) - $two->around->high->on($axis)];
            if (abs($low) > self::ALIKE || abs($high) > self::ALIKE) {
                return false;
            }
        }

        return true;
    }
}
