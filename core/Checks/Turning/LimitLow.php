<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A speed limit far under what a surface speed asks for at every diameter that is cut. */
final class LimitLow extends LatheCheck
{
    /** So many times the limit it has to ask for even at its largest diameter, and the machine to reach; less is chosen now and then. */
    private const FAR = 4.0;

    public function name(): string
    {
        return 'turning.limit-low';
    }

    public function why(): string
    {
        return 'Where the limit holds the spindle all along, the surface speed is never reached. The edge rubs, builds up and chips.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($this->nearest($input) as $tool => [$share, $number]) {
            [$radius, $place] = $input->lathe->widest[$number];
            $spindle = $input->trace->states[$number]->spindle;
            $most = min($input->setup->workholding->chuck->maxRpm ?? INF, $input->setup->machine->spindle($spindle->name)->maxRpm ?? INF);
            if ($share < self::FAR || $most < self::FAR * $spindle->limit) {
                continue;
            }
            yield new Finding(
                $this->name(), Severity::Caution, $place, 1,
                'The speed limit of {limit} holds T{tool} under its surface speed in every cut: even at {x} that asks for {rpm}.',
                [
                    'limit' => Quantity::rpm((float) $spindle->limit), 'tool' => $tool, 'x' => Quantity::diameter(2 * $radius),
                    'rpm' => Quantity::rpm($spindle->limitedTo(INF)->rpmAt($radius)),
                ],
                'Is S of {code set-position} right, to its last digit?',
            );
        }
    }

    /** @return array<int, array{float, int}> by tool, where it comes nearest to its limit: how many times that it asks for, and the number of the state */
    private function nearest(CheckInput $input): array
    {
        $nearest = [];
        foreach ($input->lathe->widest as $number => [$radius]) {
            $state = $input->trace->states[$number];
            $limit = $state->spindle->limit ?? INF;
            $share = $limit > 0.0 ? $state->spindle->limitedTo(INF)->rpmAt($radius) / $limit : 0.0;
            if ($share < ($nearest[$state->tool][0] ?? INF)) {
                $nearest[$state->tool] = [$share, $number];
            }
        }

        return $nearest;
    }
}
