<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LowMove;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Cutting below the bottom of the stock by more than the allowed break-through. */
final class BelowStock extends MillCheck
{
    public function name(): string
    {
        return 'heights.below-stock';
    }

    public function why(): string
    {
        return 'Below the part are parallels, jaws and the table. All of them are harder on a tool than the part.';
    }

    public function examine(CheckInput $input): iterable
    {
        $entryErrors = $input->entryErrors();
        $moves = array_filter($input->heights->below, static fn (LowMove $move): bool => ! $entryErrors->explainsDepth($move->line));
        foreach (MovesByTool::of(array_values($moves)) as [$move, $also]) {
            $bottom = $input->stockAt($move)?->bottom() ?? 0.0;
            $point = ($input->setup->tooling->tools[$move->tool] ?? null)?->leadLength() ?? 0.0;
            yield new Finding(
                $this->name(), Severity::Stop, $move->line, 1,
                'T{tool} cuts at Z {z}, {by} below the bottom of the stock{piece} ({bottom}). Allowed break-through: {allowed}'.(
                    $point > 0.0 ? ', and {point} for its '.(
                        ($input->setup->tooling->tools[$move->tool] ?? null)?->kind->hasPoint() === true ? 'point' : 'lead'
                    ).'.' : '.'
                ),
                [
                    'tool' => $move->tool, 'z' => Quantity::length($move->z), 'by' => Quantity::length($bottom - $move->z),
                    'bottom' => Quantity::length($bottom), 'allowed' => Quantity::length($input->setup->margins->breakThrough),
                    'point' => Quantity::length($point), 'piece' => $input->pieceWords($move->piece),
                ],
                'Check the depth, the stock and Z zero. What lies under the part: parallels, jaws, table?', $also,
            );
        }
    }
}
