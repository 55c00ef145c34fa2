<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Control\Code;

/** A cutting move with the spindle stopped. */
final class SpindleStopped implements Check
{
    public function name(): string
    {
        return 'state.spindle-stopped';
    }

    public function examine(Evidence $evidence): iterable
    {
        $lines = [];
        foreach ($evidence->cuts->firstCut as $number => $line) {
            $state = $evidence->trace->states[$number];
            if ($state->feedMode === Code::FeedPerRevolution && $state->spindleTurn === 0) {
                continue; // state.feed-mode says so
            }
            if ($state->spindleTurn === 0 || $state->rpm <= 0.0) {
                $lines[$state->tool.($state->spindleTurn === 0 ? '' : ' S0')][] = $line;
            }
        }
        foreach ($lines as $key => $at) {
            $turning = str_ends_with((string) $key, 'S0');
            sort($at);
            yield new Finding(
                $this->name(), Severity::Stop, $at[0], 1,
                $turning ? 'T{tool} cuts with the spindle started at no speed.' : 'T{tool} cuts with the spindle stopped.',
                ['tool' => (int) $key],
                $turning ? 'Give the speed with an S word.' : 'Start the spindle (S and M3) after the tool change. A tool change stops it.',
                array_slice($at, 1),
            );
        }
    }
}
