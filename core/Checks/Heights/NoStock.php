<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Nothing to judge heights by. */
final class NoStock implements Check
{
    public function name(): string
    {
        return 'heights.no-stock';
    }

    public function examine(Evidence $evidence): iterable
    {
        if ($evidence->setup->stock === null && $evidence->cuts->firstCut !== []) {
            yield new Finding(
                $this->name(), Severity::Caution, min($evidence->cuts->firstCut), 1,
                'The setup has no stock, so heights were not checked against material.', [], 'Give the stock in the setup.', field: 'stock',
            );
        }
    }
}
