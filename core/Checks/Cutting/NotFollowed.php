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

    public function gaps(CheckInput $input): iterable
    {
        if ($input->stock?->isComplete() !== true) {
            yield $this->gap(
                'What is cut was not followed: depth, width, holder and load of each cut are not judged.',
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
                    'What this program cuts was left out: rapids and depths are held against the stock as given.', [],
                    'Have it worked out before you trust the answer.',
                );
            }

            return;
        }
        if ($stock->isTooLong) {
            yield new Finding(
                $this->name(), Severity::Caution, $line, 1,
                'What this program cuts is not worked out yet: it takes longer than a moment. Until then the stock is taken as given.', [],
                'Save it, and it is worked out on the side; or have it worked out now.',
            );
        } elseif ($stock->isCoarse) {
            yield new Finding(
                $this->name(), Severity::Note, $line, 1,
                'What this program cuts is worked out in coarse cells of {cell}, to have an answer while you type.',
                ['cell' => Quantity::length($stock->cell)],
                'Once it is saved it is worked out finely.',
            );
        } elseif ($stock->lost !== null) {
            yield new Finding(
                $this->name(), Severity::Caution, $line, 1,
                'The part is turned by a rotary axis: what is cut after that is not followed, and the stock is taken as given. '.match ($stock->lost) {
                    UnfollowedReason::NoCentre => 'Nobody says where the axis turns it.',
                    UnfollowedReason::TurnsWhileCutting => 'It is turned while the tool is as low as the stock.',
                    UnfollowedReason::OtherAxis => 'Followed is one axis that turns it over, A or B, between cuts.',
                    UnfollowedReason::ShapeUnknown => 'The stock is given by its heights, and its other sides are not known.',
                    UnfollowedReason::TooManySides => 'It is turned to too many places.',
                }, [],
                $stock->lost === UnfollowedReason::NoCentre ? 'Give the rotary centre in the setup.' : 'Look at those cuts in the drawing.',
                field: $stock->lost === UnfollowedReason::NoCentre ? 'rotaryCenters' : null,
            );
        }
        if ($input->setup->workpiece->target !== null && ! $stock->log->isWhole()) {
            yield new Finding(
                $this->name(), Severity::Note, $line, 1,
                'The sizes of what is wanted are not measured: more than {most} moves come as low as the stock.', ['most' => MoveLog::MOST],
                'What is left and what is gouged is looked for all the same.',
            );
        }
        if ($stock->unknownTools !== []) {
            yield new Finding(
                $this->name(), Severity::Caution, $line, 1,
                'What T{tools} cuts is not followed: its diameter is not given.', ['tools' => implode(', T', array_keys($stock->unknownTools))],
                'Give its diameter in the setup.',
            );
        }
    }
}
