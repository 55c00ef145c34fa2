<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A driven tool that cuts while the part turns, or one that is fed into the side of the part without turning. */
final class Driven extends LatheCheck
{
    public function name(): string
    {
        return 'turning.driven';
    }

    public function why(): string
    {
        return 'Beside the axis either the tool turns or the part does. With both at once, or with neither, the tool breaks and the part is lost.';
    }

    public function gaps(CheckInput $input): iterable
    {
        $driven = [];
        foreach ($input->lathe->sideFeeds as $number => $place) {
            $driven[$input->trace->states[$number]->tool] = true;
        }
        $open = array_filter(
            array_keys($driven), static fn (int $tool): bool => ($input->setup->tooling->tools[$tool] ?? null)?->holding->driven === null,
        );
        yield from $this->gapOf($input, $open, 'Nobody says how {tools} points in its driven holder: its tip alone was checked.', 'driven');
        if ($driven !== []) {
            yield $this->gap('What driven tools cut was not taken out of the part.');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        foreach ($input->lathe->sideFeeds as $number => $place) {
            $state = $input->trace->states[$number];
            $spindle = $state->spindle;
            $isDriven = $spindle->isDriven();
            if (($isDriven && $spindle->ofPart()->turn === 0) || isset($told[$state->tool])) {
                continue;
            }
            $told[$state->tool] = true;
            yield new Finding(
                $this->name(), Severity::Stop, $place, 1,
                $isDriven ? 'T{tool} is driven and cuts while the part turns.' : 'T{tool} goes into the side of the part and is not driven.',
                ['tool' => $state->tool],
                $isDriven ? 'Stop the spindle with {code spindle-stop} before.'
                    : 'Switch the driven tool on before the cycle. The code for it is one the shop gives on Controls.',
            );
        }
    }
}
