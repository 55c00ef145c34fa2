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
        foreach ($this->movesWithout($input) as [$tool, $place]) {
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

    /**
     * @return iterable<array{int, int}> tool and place; a rapid away from the part in the block that cancels the offset is none
     */
    private function movesWithout(CheckInput $input): iterable
    {
        foreach ($input->lathe->withoutOffset as $number => $place) {
            yield [$input->trace->states[$number]->tool, $place];
        }
        $stock = $input->setup->workpiece->stock;
        foreach ($input->lathe->takenAway as ['place' => $place, 'tool' => $tool, 'z' => $z, 'x' => $x]) {
            if ($stock === null || ($z < $stock->around->high->z && $x < $stock->around->high->x)) {
                yield [$tool, $place];
            }
        }
    }
}
