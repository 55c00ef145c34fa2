<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Nose compensation to the side where the part is: G41 and G42 changed for each other, or the tip of the offset wrong. */
final class WrongSide extends LatheCheck
{
    public function name(): string
    {
        return 'turning.insert-wrong-side';
    }

    public function why(): string
    {
        return 'Compensated to the wrong side the nose runs inside the part, by its diameter. Every size, cone and corner is off.';
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        foreach ($input->lathe->sides as $number => [$right, $wrong, $place]) {
            $state = $input->trace->states[$number];
            if ($wrong <= $right || $place === null || isset($told[$state->tool])) {
                continue;
            }
            $told[$state->tool] = true;
            $tip = $input->setup->turningOffset($state->tool, $state->length->number)->quadrant ?? 0;
            yield new Finding(
                $this->name(), Severity::Stop, $place, 1, 'T{tool} is compensated to the {side} of its way; with tip {tip} it lies on the other side.',
                ['tool' => $state->tool, 'side' => $state->cutter->side < 0 ? 'right' : 'left', 'tip' => $tip],
                'Change {code cutter-left} and {code cutter-right}, or correct the tip of the offset.', field: 'offsets',
            );
        }
    }
}
