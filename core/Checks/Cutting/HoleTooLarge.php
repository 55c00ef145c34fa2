<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tap in a hole that leaves it nothing to cut a thread into; a reamer in one as large as itself. */
final class HoleTooLarge extends MillCheck
{
    public function name(): string
    {
        return 'cutting.hole-too-large';
    }

    public function why(): string
    {
        return 'In a hole as large as the tap no thread is left to cut, and a reamer finds no wall. The hole cannot be made smaller again.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->incidents(Incident::HoleTooLarge) as [$cut, $also]) {
            $tool = $input->setup->tooling->tools[$cut->tool];
            $isTap = $tool->isTap();
            yield new Finding(
                $this->name(), Severity::Stop, $cut->line, 1, $isTap
                    ? 'T{tool} of {diameter} finds a hole of at least {hole}: hardly any thread is left.'
                    : 'T{tool} of {diameter} finds a hole of {hole}: nothing is left to ream.',
                [
                    'tool' => $cut->tool, 'diameter' => Quantity::diameter($tool->geometry->diameter ?? 0.0), 'hole' => Quantity::diameter(2 * $cut->by),
                    'wanted' => Quantity::diameter(($tool->geometry->diameter ?? 0.0) - ($tool->geometry->pitch ?? 0.0)),
                ],
                $isTap
                    ? 'Drill it smaller: diameter less pitch, {wanted}, is usual. Is the right drill called?'
                    : 'Drill it smaller than the reamer. Is the right drill called?', $also,
            );
        }
    }
}
