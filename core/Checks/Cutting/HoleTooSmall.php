<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A boring bar, a reamer or a tap that finds a hole much too small for it. */
final class HoleTooSmall extends MillCheck
{
    public function name(): string
    {
        return 'cutting.hole-too-small';
    }

    public function why(): string
    {
        return 'A tap, reamer or boring bar takes little. In a hole this small it jams or breaks, often below the surface.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->incidents(Incident::HoleTooSmall) as [$cut, $also]) {
            $diameter = $input->setup->tooling->tools[$cut->tool]->geometry->diameter ?? 0.0;
            yield new Finding(
                $this->name(), Severity::Stop, $cut->line, 1, 'T{tool} is {diameter} and meets a hole of about {hole}: it would cut {by} per side.',
                [
                    'tool' => $cut->tool, 'diameter' => Quantity::length($diameter), 'hole' => Quantity::length($diameter - 2 * $cut->by),
                    'by' => Quantity::length($cut->by),
                ],
                'Drill or bore the hole larger first. Is the right tool called?', $also,
            );
        }
    }
}
