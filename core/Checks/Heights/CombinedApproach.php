<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tool's first approach that moves Z together with X or Y. */
final class CombinedApproach extends MillCheck
{
    public function name(): string
    {
        return 'heights.combined-approach';
    }

    public function why(): string
    {
        return 'Moving down and across at once, the tool passes over what nobody has looked at. Z last shows where it will land.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach (MovesByTool::of($input->heights->combinedApproaches) as [$move, $also]) {
            yield new Finding(
                $this->name(), Severity::Caution, $move->line, 1,
                'T{tool} comes down to Z {z} while moving in X and Y: it may hit a clamp or the part on the way.',
                ['tool' => $move->tool, 'z' => Quantity::length($move->z)],
                'Move X and Y first, then Z on its own line.', $also, $input->editWriter->apart($move->line, heightFirst: false),
            );
        }
    }
}
