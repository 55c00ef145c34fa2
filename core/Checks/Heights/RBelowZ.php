<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LowMove;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A cycle that begins below its bottom, or inside the stock. */
final class RBelowZ extends MillCheck
{
    public function name(): string
    {
        return 'heights.r-below-z';
    }

    public function why(): string
    {
        return 'The cycle starts inside the material or above its own bottom. The tool arrives there at rapid.';
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        foreach ($input->folded('r-below-bottom') as [$notice, $also]) {
            $told = [$notice->line, ...$also];
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column, 'The cycle starts at R {r}, below its bottom at {axis} {bottom}.',
                $notice->figures, 'Swap them, or check their signs.', $also, $this->otherSign(
                    $input, $notice->line, $input->setup->workpiece->stock?->top() ?? 0.0,
                ),
            );
        }
        $isKnown = $input->stock?->isFollowed() === true;
        $rapids = array_filter(
            $input->heights->rapidsInStock,
            static fn (LowMove $move): bool => $move->inCycle && (! $isKnown || $input->cutsAtRapid($move->line))
                && ! in_array($move->line, $told, true) && ! in_array($input->wordAt($move->line, 'R')?->line, $told, true),
        );
        foreach (MovesByTool::of(array_values($rapids)) as [$move, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $move->line, 1, 'The cycle brings T{tool} at rapid to R {r}, which is {by} below the top of the stock.',
                ['tool' => $move->tool, 'r' => Quantity::length($move->z), 'by' => Quantity::length($input->topAt($move) - $move->z)],
                'Put R at least the clearance above the stock.', $also, $this->otherSign($input, $move->line, $input->topAt($move)),
            );
        }
        foreach ($input->incidents(Incident::CycleLow) as [$cut, $also]) {
            yield new Finding(
                $this->name(), Severity::Caution, $cut->line, 1,
                'The cycle brings T{tool} at rapid to R {r}, {by} above the part; the clearance is {clearance}.',
                [
                    'tool' => $cut->tool, 'r' => Quantity::length($cut->z), 'by' => Quantity::length($cut->by),
                    'clearance' => Quantity::length($input->setup->margins->clearance ?? 0.0),
                ],
                'Is the decimal point of R right?', $also,
            );
        }
    }

    /** A minus too much before the R, where taking it away leads above the stock by the clearance. */
    private function otherSign(CheckInput $input, int $line, float $top): ?Edit
    {
        $word = $input->wordAt($line, 'R');
        $level = $word === null ? 0.0 : -$word->value() * $input->trace->end->modes->units->millimetres();
        $wanted = $top + max(0.0, $input->setup->margins->clearance ?? 0.0);

        return $level > 0.0 && $level >= $wanted ? $word?->replacedBy(ltrim($word->number, '-')) : null;
    }
}
