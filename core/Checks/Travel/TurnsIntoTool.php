<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Travel;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A part that is turned at rapid into the tool that stands over it. */
final class TurnsIntoTool extends MillCheck
{
    public function name(): string
    {
        return 'travel.turns-into-tool';
    }

    public function why(): string
    {
        return 'A corner swings higher than the face it lies beside. A tool that clears the face is hit from the side.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->incidents(Incident::TurnedInto, deepest: true) as [$cut, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $cut->line, 1,
                'The part is turned into T{tool}: on its way it stands at least {by} higher than the tip at Z {z}.',
                ['tool' => $cut->tool, 'by' => Quantity::length($cut->by), 'z' => Quantity::length($cut->z)],
                'Lift the tool above the circle of the corners before the part turns.', $also,
            );
        }
    }
}
