<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A feed above what the machine can do. */
final class FeedOver extends MachineCheck
{
    public function name(): string
    {
        return 'state.feed-over';
    }

    public function why(): string
    {
        return 'The machine goes no faster than it can, so the real feed is another. Time and chip load are not the ones planned.';
    }

    public function examine(CheckInput $input): iterable
    {
        if ($input->cuts->overFeed === null) {
            return;
        }
        [$line, $feed] = $input->cuts->overFeed;
        yield new Finding(
            $this->name(), Severity::Caution, $line, 1, 'F {feed} is over the {most} of the machine, which will go no faster.',
            ['feed' => Quantity::feed($feed), 'most' => Quantity::feed($input->setup->machine->maxFeed ?? 0.0)],
            'Check the feed. Is the decimal point missing?',
            edit: $input->wordAt($line, 'F')?->replacedBy($input->written($input->setup->machine->maxFeed ?? 0.0)),
        );
    }
}
