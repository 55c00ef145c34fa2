<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A surface speed with no limit of the program to the spindle. */
final class NoClamp extends LatheCheck
{
    public function name(): string
    {
        return 'turning.no-clamp';
    }

    public function why(): string
    {
        return 'Towards the centre a surface speed asks for more and more turns. The chuck lets the part go long before the spindle stops rising.';
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        $chuck = $input->setup->workholding->chuck?->maxRpm;
        foreach ($input->lathe->nearest as $number => [$radius, $place]) {
            $state = $input->trace->states[$number];
            if ($state->spindle->limit !== null || isset($told[$state->tool])) {
                continue;
            }
            $told[$state->tool] = true;
            $asked = $state->spindle->rpmAt($radius);
            $spindle = $input->setup->machine->spindle($state->spindle->name)->maxRpm;
            $most = min($chuck ?? INF, $spindle ?? INF);
            yield new Finding(
                $this->name(), $asked > $most ? Severity::Stop : Severity::Caution, $place, 1,
                is_finite($asked)
                    ? 'No speed limit has been given: T{tool} would ask for {rpm} at {x}.'
                    : 'No speed limit has been given, and T{tool} goes to the centre, where a surface speed has no end.',
                ['tool' => $state->tool, 'rpm' => Quantity::rpm(is_finite($asked) ? $asked : 0.0), 'x' => Quantity::diameter(2 * $radius)],
                'Say the most the chuck may turn with {code set-position} S before {code surface-speed}.',
            );
        }
    }
}
