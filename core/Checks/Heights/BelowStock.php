<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\LowMove;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Cutting below the bottom of the stock by more than the allowed break-through. */
final class BelowStock implements Check
{
    public function name(): string
    {
        return 'heights.below-stock';
    }

    public function examine(Evidence $evidence): iterable
    {
        $slips = $evidence->slips();
        $moves = array_filter($evidence->heights->below, static fn (LowMove $move): bool => ! $slips->explainsDepth($move->line));
        foreach (MovesByTool::of(array_values($moves)) as [$move, $also]) {
            $bottom = $evidence->stockAt($move)?->bottom() ?? 0.0;
            $point = ($evidence->setup->tools[$move->tool] ?? null)?->leadLength() ?? 0.0;
            yield new Finding(
                $this->name(), Severity::Stop, $move->line, 1,
                'T{tool} cuts at Z {z}, {by} below the bottom of the stock{piece} ({bottom}). Allowed break-through: {allowed}'.($point > 0.0 ? ', and {point} for its '.(($evidence->setup->tools[$move->tool] ?? null)?->kind->hasPoint() === true ? 'point' : 'lead').'.' : '.'),
                [
                    'tool' => $move->tool, 'z' => Quantity::length($move->z), 'by' => Quantity::length($bottom - $move->z),
                    'bottom' => Quantity::length($bottom), 'allowed' => Quantity::length($evidence->setup->breakThrough),
                    'point' => Quantity::length($point), 'piece' => $evidence->pieceWords($move->piece),
                ],
                'Check the depth, the stock and Z zero. What lies under the part: parallels, jaws, table?', $also,
            );
        }
    }
}
