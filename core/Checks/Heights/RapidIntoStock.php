<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LowMove;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A rapid that enters what is left of the stock; the stock as given where it is not simulated. */
final class RapidIntoStock extends MillCheck
{
    public function name(): string
    {
        return 'heights.rapid-into-stock';
    }

    public function why(): string
    {
        return 'At rapid the machine pushes with all it has. Tool, part and spindle are damaged before anybody can react.';
    }

    public function gaps(CheckInput $input): iterable
    {
        if ($input->setup->workpiece->stock === null) {
            yield $this->gap('No stock given: rapids and depths are not checked.', 'stock');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        if ($input->stock?->isFollowed() === true) {
            yield from $this->asCut($input);

            return;
        }
        $rapids = array_filter($input->heights->rapidsInStock, static fn (LowMove $move): bool => ! $move->inCycle);
        foreach (MovesByTool::of(array_values($rapids)) as [$move, $also]) {
            $top = $input->topAt($move);
            yield new Finding(
                $this->name(), Severity::Stop, $move->line, 1,
                'T{tool} rapids through the stock: down to Z {z}, {by} below its top.',
                ['tool' => $move->tool, 'z' => Quantity::length($move->z), 'by' => Quantity::length($top - $move->z)],
                'Rapid above the stock, and feed in. The stock is taken as given, not as cut so far.', $also,
                $input->editWriter->apart($move->line, heightFirst: true) ?? $this->atFeed($input, $move->line, $move->z, $move->piece),
            );
        }
    }

    /**
     * Rapids that take off what is left of the stock.
     *
     * @return iterable<Finding>
     */
    private function asCut(CheckInput $input): iterable
    {
        foreach ($input->incidents(Incident::RapidCuts) as [$cut, $also]) {
            if ($cut->inCycle) {
                continue; // the cycle's R is too low, which is told by heights.r-below-z
            }
            // What was cut while the part turned may have made way.
            $isKnown = $cut->row < ($input->stock->lostRow ?? PHP_INT_MAX);
            yield new Finding(
                $this->name(), $isKnown ? Severity::Stop : Severity::Caution, $cut->line, 1,
                'T{tool} rapids into the stock: at Z {z} it is {by} into what is left of it'.(
                    $isKnown ? '.' : ', unless a cut while it turned has taken that.'
                ),
                ['tool' => $cut->tool, 'z' => Quantity::length($cut->z), 'by' => Quantity::length($cut->by)],
                'Rapid above what is left of the stock, and feed in.', $also,
                $input->editWriter->apart($cut->line, heightFirst: true) ?? $this->atFeed($input, $cut->line, $cut->z, $cut->stock),
            );
        }
    }

    /** The feed move in the place of the rapid, where the line or the one before says the rapid itself and a feed is in force. */
    private function atFeed(CheckInput $input, int $line, float $z, int $piece): ?Edit
    {
        if (($input->setup->tooling->tools[$input->toolAt($line)] ?? null)?->kind === ToolKind::Probe) {
            return null;
        }
        $place = $input->editWriter->placeOf($line, Code::Rapid);
        if ($place === null || $place < $line - 1 || $input->wordAt($line, 'F') === null || $z <= ($input->setup->stocks()[$piece]->around->low->z ?? 0.0)) {
            return null;
        }

        return $input->editWriter->exchange($place, Code::Rapid, Code::Feed);
    }
}
