<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\LowMove;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Stock\Deed;
use OakTrace\Core\Trace\Quantity;

/** Cutting below the bottom of the stock by more than the allowed break-through. */
final class BelowStock implements Check
{
    private const REMEDY = 'Check the depth, the stock and Z zero. What lies under the part: parallels, jaws, table?';

    public function name(): string
    {
        return 'heights.below-stock';
    }

    public function examine(Evidence $evidence): iterable
    {
        $slips = $evidence->slips();
        $moves = array_filter($evidence->heights->below, static fn (LowMove $move): bool => ! $slips->explainsDepth($move->line));
        foreach (MovesByTool::of(array_values($moves)) as [$move, $also]) {
            $bottom = $evidence->setup->stock?->bottom() ?? 0.0;
            yield new Finding(
                $this->name(), Severity::Stop, $move->line, 1,
                'T{tool} cuts at Z {z}, {by} below the bottom of the stock ({bottom}). Allowed break-through: {allowed}.',
                [
                    'tool' => $move->tool, 'z' => Quantity::length($move->z), 'by' => Quantity::length($bottom - $move->z),
                    'bottom' => Quantity::length($bottom), 'allowed' => Quantity::length($evidence->setup->breakThrough),
                ],
                self::REMEDY, $also,
            );
        }
        foreach ($evidence->did(Deed::GoesThrough) as [$cut, $also]) {
            $stock = $evidence->setup->moreStock[$cut->stock - 1] ?? null;
            if ($stock !== null) {
                yield new Finding(
                    $this->name(), Severity::Stop, $cut->line, 1,
                    'T{tool} cuts {by} below the bottom of the stock at {work} ({bottom}). Allowed break-through: {allowed}.',
                    ['tool' => $cut->tool, 'by' => Quantity::length($cut->by), 'work' => $stock->workOffset, 'bottom' => Quantity::length($stock->bottom()), 'allowed' => Quantity::length($evidence->setup->breakThrough)],
                    self::REMEDY, $also,
                );
            }
        }
    }
}
