<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Offsets;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Everything one work offset carries lies beside the stock, by one shift that would bring it in. */
final class WrongOne extends MillCheck
{
    public function name(): string
    {
        return 'offsets.wrong-one';
    }

    public function why(): string
    {
        return 'Everything under this offset is shifted by one and the same amount. That is how a wrong touch-off, or another vice\'s offset, looks.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->offTheStock() as $astray) {
            $ways = $figures = [];
            foreach ([AxisName::X => $astray->offX, AxisName::Y => $astray->offY] as $axis => $by) {
                if (abs($by) > 1e-6) {
                    $ways[] = "{off{$axis}} to {$axis} ".($by > 0.0 ? 'plus' : 'minus');
                    $figures["off{$axis}"] = Quantity::length(abs($by));
                }
            }
            yield new Finding(
                $this->name(), Severity::Stop, $astray->line, 1,
                'Everything in {work} lies '.implode(' and ', $ways).' of the stock'.($astray->fits === null ? '.' : '; in {fits} it would lie in it.'),
                $figures + ['work' => $astray->work, 'fits' => $astray->fits ?? ''],
                $astray->fits === null
                    ? 'Touch off {work} again, or enter the stock that is clamped there in the setup.'
                    : 'Is {fits} meant? If another piece is clamped at {work}, enter its stock in the setup.',
                field: 'workOffsets.'.$astray->work,
            );
        }
    }
}
