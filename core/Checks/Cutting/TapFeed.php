<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Trace\Quantity;

/** A tap that does not run at its pitch. */
final class TapFeed implements Check
{
    public function name(): string
    {
        return 'cutting.tap-feed';
    }

    public function examine(Evidence $evidence): iterable
    {
        $seen = [];
        foreach ($evidence->cuts->firstCut as $number => $line) {
            $state = $evidence->trace->states[$number];
            $tool = $evidence->setup->tools[$state->tool] ?? null;
            if (($state->cycle !== Code::Tap && $state->cycle !== Code::LeftTap) || $tool?->pitch === null || $state->rpm <= 0.0 || $state->spindleTurn === 0 || isset($seen[$state->tool])) {
                continue;
            }
            $feed = $evidence->cuts->firstFeed[$number];
            $right = $tool->pitch * $state->rpm;
            if (abs($feed - $right) <= 0.005 * $right) {
                continue;
            }
            $seen[$state->tool] = true;
            yield new Finding(
                $this->name(), Severity::Stop, $line, 1,
                'T{tool} taps at {feed}; at {speed} its pitch of {pitch} wants {right}.',
                ['tool' => $state->tool, 'feed' => Quantity::feed($feed), 'speed' => Quantity::rpm($state->rpm), 'pitch' => Quantity::length($tool->pitch), 'right' => Quantity::feed($right)],
                'Feed is speed times pitch: write F {right}, or change S.',
                edit: $evidence->wordAt($line, 'F')?->replacedBy($evidence->written($state->feedMode === Code::FeedPerRevolution ? $tool->pitch : $right)),
            );
        }
    }
}
