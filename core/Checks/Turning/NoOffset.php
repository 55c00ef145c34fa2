<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A lathe tool that moves in the part with no tool offset in force. */
final class NoOffset extends LatheCheck
{
    public function name(): string
    {
        return 'state.no-tool-offset';
    }

    public function why(): string
    {
        return 'Without its offset the control does not know where the tip is. Every place of the program is off by the whole tool.';
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        foreach ($input->lathe->withoutOffset as $number => $place) {
            $tool = $input->trace->states[$number]->tool;
            if (! isset($told[$tool])) {
                $told[$tool] = true;
                yield new Finding(
                    $this->name(), Severity::Stop, $place, 1, 'T{tool} moves here with its offset cancelled.', ['tool' => $tool],
                    'Call the offset with the tool, or go home before it is cancelled.',
                );
            }
        }
        foreach ($input->lathe->firstFeed as $number => $place) {
            $state = $input->trace->states[$number];
            if ($state->length->number !== 0 && ! $state->length->isSet && ! isset($told[$state->tool])) {
                $told[$state->tool] = true;
                yield new Finding(
                    $this->name(), Severity::Stop, $place, 1, 'T{tool} cuts with offset {number}, which is not set.',
                    ['tool' => $state->tool, 'number' => $state->length->number], 'Enter X and Z of offset {number}, or call the one that is set.',
                    field: 'offsets.T.'.$state->length->number,
                );
            }
        }
    }
}
