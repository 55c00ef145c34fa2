<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Nothing to judge heights by. */
final class NoStock extends MillCheck
{
    public function name(): string
    {
        return 'heights.no-stock';
    }

    public function why(): string
    {
        return 'Without the stock nobody knows where air ends. Depths and rapids are judged against nothing.';
    }

    public function examine(CheckInput $input): iterable
    {
        if ($input->setup->workpiece->stock === null && $input->cuts->firstCut !== []) {
            yield new Finding(
                $this->name(), Severity::Caution, min($input->cuts->firstCut), 1,
                'The setup has no stock, so heights were not checked against material.', [], 'Enter the stock in the setup.', field: 'stock',
            );
        }
    }
}
