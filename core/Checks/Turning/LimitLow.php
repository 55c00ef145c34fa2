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
        return 'Where the limit holds the spindle all along, the surface speed is never reached. The edge rubs, builds up and chips, and it takes hours.';
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        foreach ($input->lathe->widest as $number => [$radius, $place]) {
            $state = $input->trace->states[$number];
            $limit = $state->spindle->limit;
            if ($limit === null || $limit <= 0.0 || isset($told[$state->tool])) {
                continue;
            }
            $most = min($input->setup->workholding->chuck->maxRpm ?? INF, $input->setup->machine->spindle($state->spindle->name)->maxRpm ?? INF);
            $asked = $state->spindle->limitedTo(INF)->rpmAt($radius);
            if ($asked < self::FAR * $limit || $most < self::FAR * $limit) {
                continue;
            }
            $told[$state->tool] = true;
            yield new Finding(
                $this->name(), Severity::Caution, $place, 1,
                'The speed limit of {limit} holds T{tool} under its surface speed in every cut: even at {x} that asks for {rpm}.',
                ['limit' => Quantity::rpm($limit), 'tool' => $state->tool, 'x' => Quantity::diameter(2 * $radius), 'rpm' => Quantity::rpm($asked)],
                'Is S of {code set-position} right, to its last digit?',
            );
        }
    }
}
