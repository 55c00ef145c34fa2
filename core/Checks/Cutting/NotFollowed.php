<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\MoveLog;
use OakTrace\Core\Stock\UnfollowedReason;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Where what is cut of the stock is not known, so that the checks of the cut have less to go by. */
final class NotFollowed extends MillCheck
{
    public function name(): string
    {
        return 'cutting.not-followed';
    }

    public function why(): string
    {
        return 'Checks of depth, width, holder and load need to know what material is left. Here they have less to go by than usual.';
    }

    public function gaps(CheckInput $input): iterable
    {
        if ($input->stock?->isComplete() !== true) {
            yield $this->gap(
                $input->stock?->isFollowed() === true
                    ? 'What is cut while the part turns was not simulated: depth, width, holder and load are not checked there.'
                    : 'The cut was not simulated: depth, width, holder and load are not checked.',
                $input->setup->workpiece->stock === null ? 'stock' : null,
            );
        }
    }

    public function examine(CheckInput $input): iterable
    {
        $stock = $input->stock;
        $line = $input->firstBlock();
        if ($stock === null) {
            if ($input->setup->workpiece->stock !== null && $input->cuts->firstCut !== []) {
                yield new Finding(
                    $this->name(), Severity::Caution, $line, 1,
                    'The cut was not simulated: rapids and depths are checked against the stock as given.', [],
                    'Simulate it before you rely on the verdict.',
                );
            }

            return;
        }
        if ($stock->isTooLong) {
            yield new Finding(
                $this->name(), Severity::Caution, $line, 1,
                'The cut is not simulated yet: it takes longer than a moment. Until then the stock is taken as given.', [],
                'Save it, and it is simulated in the background; or simulate it all now.',
            );
        } elseif ($stock->isCoarse) {
            yield new Finding(
                $this->name(), Severity::Note, $line, 1,
                'The cut is simulated in coarse cells of {cell}, to answer while you type.',
                ['cell' => Quantity::length($stock->cell)],
                'Once saved, it is simulated finely.',
            );
        } elseif ($stock->lost !== null) {
            yield new Finding(
                $this->name(), Severity::Caution, $stock->lostAt ?? $line, 1,
                $stock->isFollowed()
                    ? 'The part is turned by a rotary axis while the tool is down at the stock: what is cut meanwhile is not simulated.'
                    : 'The part is turned by a rotary axis: cuts after that are not simulated, and the stock is taken as given. '.match ($stock->lost) {
                        UnfollowedReason::NoCenter => 'The rotary centre is not given.',
                        UnfollowedReason::TurnsWhileCutting => 'It is turned while the tool is down at the stock.',
                        UnfollowedReason::OtherAxis => 'Only one axis, A or B, that turns it between cuts is simulated.',
                        UnfollowedReason::ShapeUnknown => 'The stock is given by its heights, and its other sides are not known.',
                        UnfollowedReason::TooManySides => 'It is turned to too many angles.',
                    }, [],
                $stock->lost === UnfollowedReason::NoCenter ? 'Enter the rotary centre in the setup.' : 'Check those cuts in the drawing.',
                field: $stock->lost === UnfollowedReason::NoCenter ? 'rotaryCenters' : null,
            );
        }
        if ($input->setup->workpiece->target !== null && ! $stock->log->isWhole()) {
            yield new Finding(
                $this->name(), Severity::Note, $line, 1,
                'The drawing sizes are not measured: more than {most} moves reach the stock.', ['most' => MoveLog::MOST],
                'Gouges and material left are still looked for.',
            );
        }
        if ($stock->unknownTools !== []) {
            yield new Finding(
                $this->name(), Severity::Caution, $line, 1,
                'Cuts of T{tools} are not simulated: no diameter given.', ['tools' => implode(', T', array_keys($stock->unknownTools))],
                'Enter the diameter in the setup.',
            );
        }
    }
}
