<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Travel;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A return to a reference point that first comes down to a point below the clearance. */
final class ReferencePath extends MillCheck
{
    public function name(): string
    {
        return 'travel.reference-path';
    }

    public function why(): string
    {
        return 'The return goes by way of a point first. If that point is low, the tool dips into the part on its way home.';
    }

    public function examine(CheckInput $input): iterable
    {
        $stock = $input->setup->workpiece->stock;
        if ($stock === null) {
            return;
        }
        $wanted = $stock->top() + max(0.0, $input->setup->margins->clearance ?? 0.0);
        foreach ($input->folded('reference-path') as [$notice, $also]) {
            $through = $notice->figures['through'] ?? null;
            if (! $through instanceof Quantity || $through->value >= $wanted - 1e-6) {
                continue;
            }
            $isBelow = $through->value < $stock->top();
            // Where it meets what is left of it heights.rapid-into-stock says more.
            if ($isBelow && ($input->stock?->isFollowed() !== true || $input->cutsAtRapid($notice->line))) {
                continue;
            }
            yield new Finding(
                $this->name(), Severity::Caution, $notice->line, $notice->column,
                'On its way to the reference point the tool first comes down to Z {through}, '.(
                    $isBelow ? '{below} below the top of the stock.' : '{above} above the stock.'
                ),
                [
                    'through' => $through, 'above' => Quantity::length($through->value - $stock->top()),
                    'below' => Quantity::length($stock->top() - $through->value),
                ],
                'The axis words of a return are a point to pass through. Pass through where the tool stands: {code incremental} with Z0, then {code absolute}.',
                $also,
                $this->fromWhereItStands($input, $notice),
            );
        }
    }

    /** The return in increments of nothing, with absolute positions put back behind it. */
    private function fromWhereItStands(CheckInput $input, Notice $notice): ?Edit
    {
        $word = $input->wordAt($notice->line, AxisName::Z);
        $before = $input->editWriter->lead($notice->line, Code::Incremental);

        return $word?->line !== $notice->line ? null
            : $before?->labelled('Return from the present position')->and($word->replacedBy('0.'), $input->editWriter->after($notice->line, Code::Absolute));
    }
}
