<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A spindle that turns the chuck faster than it may. */
final class ChuckSpeed extends LatheCheck
{
    public function name(): string
    {
        return 'turning.chuck-speed';
    }

    public function why(): string
    {
        return 'The faster it turns the less the jaws press, and above its limit a chuck may burst. The part flies out before that.';
    }

    public function gaps(CheckInput $input): iterable
    {
        if ($input->setup->workholding->chuck?->maxRpm === null) {
            yield $this->gap('No greatest speed of the chuck given.', 'chuck');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        $most = $input->setup->workholding->chuck?->maxRpm;
        if ($most === null) {
            return;
        }
        $fastest = $input->lathe->fastest($input->trace->states, $input->setup->machine);
        $limit = null;
        foreach ($input->lathe->firstFeed as $number => $place) {
            $spindle = $input->trace->states[$number]->spindle;
            if ($spindle->surfaceSpeed !== null && ($spindle->limit ?? 0.0) > ($limit[0] ?? 0.0)) {
                $limit = [(float) $spindle->limit, $place];
            }
        }
        if ($fastest !== null && $fastest[0] > $most + 0.5) {
            yield new Finding(
                $this->name(), Severity::Stop, $fastest[1], 1, 'The chuck turns at {rpm}; it may turn {most}.',
                ['rpm' => Quantity::rpm($fastest[0]), 'most' => Quantity::rpm($most)], 'Limit the spindle to what the chuck may turn.',
            );
        } elseif ($limit !== null && $limit[0] > $most + 0.5) {
            yield new Finding(
                $this->name(), Severity::Caution, $limit[1], 1, 'The speed limit of {rpm} is over the {most} of the chuck, though nothing here goes that fast.',
                ['rpm' => Quantity::rpm($limit[0]), 'most' => Quantity::rpm($most)], 'Limit the spindle to what the chuck may turn.',
            );
        }
    }
}
