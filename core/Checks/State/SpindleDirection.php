<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Edit;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Control\Code;

/** A tool turned against its hand. */
final class SpindleDirection implements Check
{
    public function name(): string
    {
        return 'state.spindle-direction';
    }

    public function examine(Evidence $evidence): iterable
    {
        $seen = [];
        foreach ($evidence->cuts->firstCut as $number => $line) {
            $state = $evidence->trace->states[$number];
            $hand = ($evidence->setup->tools[$state->tool] ?? null)?->hand;
            $turn = ['right' => 1, 'left' => -1][$hand] ?? 0;
            // The way out of a tap turns the other way, and is meant to.
            if ($turn === 0 || $state->spindleTurn !== -$turn || $state->cycle !== null || isset($seen[$state->tool])) {
                continue;
            }
            $seen[$state->tool] = true;
            yield new Finding(
                $this->name(), Severity::Stop, $line, 1, 'T{tool} cuts {hand}-handed and the spindle turns {turn}: it rubs on its back.',
                ['tool' => $state->tool, 'hand' => (string) $hand, 'turn' => $turn === 1 ? 'counter-clockwise' : 'clockwise'],
                $turn === 1 ? 'Start the spindle with M3.' : 'Start the spindle with M4.', edit: $this->turnAbout($evidence, $line, $turn),
            );
        }
    }

    private function turnAbout(Evidence $evidence, int $line, int $turn): ?Edit
    {
        [$wrong, $right] = $turn === 1 ? [Code::SpindleCounterClockwise, Code::SpindleClockwise] : [Code::SpindleClockwise, Code::SpindleCounterClockwise];
        $place = $evidence->amend->placeOf($line, $wrong);

        return $place === null ? null : $evidence->amend->exchange($place, $wrong, $right);
    }
}
