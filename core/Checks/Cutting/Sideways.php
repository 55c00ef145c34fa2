<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A drill, a reamer or a tap that is fed sideways into material. */
final class Sideways extends MillCheck
{
    public function name(): string
    {
        return 'cutting.sideways';
    }

    public function why(): string
    {
        return 'Such a tool has no edge on its side. It bends until it breaks, and mostly another tool was meant.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->incidents(Incident::Sideways) as [$cut, $also]) {
            $kind = $input->setup->tooling->tools[$cut->tool]->kind;
            yield new Finding(
                $this->name(), Severity::Stop, $cut->line, 1, 'T{tool} is a {kind}, and is fed sideways into material, {by} deep.',
                ['tool' => $cut->tool, 'kind' => $kind->words(), 'by' => Quantity::length($cut->by)],
                'Lift it before it goes to its next place, or call the mill that is meant.', $also, field: $input->toolField($cut->tool, 'kind'),
            );
        }
    }
}
