<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Deed;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Deeper beside material than the flute is long, so that the shank rubs. */
final class FluteLength implements Check
{
    public function name(): string
    {
        return 'cutting.flute-length';
    }

    public function examine(Evidence $evidence): iterable
    {
        foreach ($evidence->did(Deed::ShankRubs) as [$cut, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $cut->line, 1,
                'The shank of T{tool} rubs: material stands {by} higher beside it than its flute of {flute} is long.',
                ['tool' => $cut->tool, 'by' => Quantity::length($cut->by), 'flute' => Quantity::length($evidence->setup->tools[$cut->tool]->fluteLength ?? 0.0)],
                'Take a longer flute, open the cut wider above, or go less deep.', $also,
                field: $evidence->toolField($cut->tool, 'fluteLength'),
            );
        }
    }
}
