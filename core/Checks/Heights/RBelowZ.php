<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\LowMove;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A cycle that begins below its bottom, or inside the stock. */
final class RBelowZ implements Check
{
    public function name(): string
    {
        return 'heights.r-below-z';
    }

    public function examine(Evidence $evidence): iterable
    {
        $told = [];
        foreach ($evidence->folded('r-below-bottom') as [$notice, $also]) {
            $told = [$notice->line, ...$also];
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column, 'The cycle begins at R {r}, below its bottom at {axis} {bottom}.',
                $notice->figures, 'Exchange them, or check their signs.', $also, $this->otherSign($evidence, $notice->line, $evidence->setup->stock?->top() ?? 0.0),
            );
        }
        $isKnown = $evidence->stock?->isComplete() === true;
        foreach (MovesByTool::of(array_values(array_filter($evidence->heights->rapidsInStock, static fn (LowMove $move): bool => $move->inCycle && ! in_array($move->line, $told, true) && (! $isKnown || $evidence->cutsAtRapid($move->line))))) as [$move, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $move->line, 1, 'The cycle brings T{tool} at rapid to R {r}, which is {by} below the top of the stock.',
                ['tool' => $move->tool, 'r' => Quantity::length($move->z), 'by' => Quantity::length($evidence->topAt($move) - $move->z)],
                'Put R above the stock, by the clearance at least.', $also, $this->otherSign($evidence, $move->line, $evidence->topAt($move)),
            );
        }
    }

    /** A minus too much before the R, where taking it away leads above the stock by the clearance. */
    private function otherSign(Evidence $evidence, int $line, float $top): ?Edit
    {
        $word = $evidence->wordAt($line, 'R');
        $level = $word === null ? 0.0 : -$word->value() * $evidence->trace->end->units->millimetres();
        $wanted = $top + max(0.0, $evidence->setup->clearance ?? 0.0);

        return $level > 0.0 && $level >= $wanted ? $word?->replacedBy(ltrim($word->number, '-')) : null;
    }
}
