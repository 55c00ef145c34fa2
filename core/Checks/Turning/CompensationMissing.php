<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A cone, a chamfer or an arc finished with the tip as it is programmed. */
final class CompensationMissing extends LatheCheck
{
    public function name(): string
    {
        return 'turning.compensation-missing';
    }

    public function why(): string
    {
        return 'The programmed tip is a point beside the round nose. On cylinders and faces that makes no odds; on a slope the nose leaves material.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->turned->watch->uncompensated ?? [] as $number => $cut) {
            yield new Finding(
                $this->name(), Severity::Caution, $cut->place, 1, 'T{tool} cuts a slope or an arc without nose compensation: {by} are left on it.',
                [
                    'tool' => $number, 'by' => Quantity::length($cut->by),
                    'nose' => Quantity::length($input->setup->tooling->tools[$number]->geometry->cornerRadius),
                ],
                'Finish it with {code cutter-right} or {code cutter-left}, or allow for the nose of R{nose} in its figures.',
            );
        }
    }
}
