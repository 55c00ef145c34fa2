<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Cycles\CycleCatalogue;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tap that does not run at its pitch. */
final class TapFeed extends MillCheck
{
    public function name(): string
    {
        return 'cutting.tap-feed';
    }

    public function why(): string
    {
        return 'A tap moves one pitch a turn, whatever the feed says. Any difference is pulled out of the thread or the tap.';
    }

    public function gaps(CheckInput $input): iterable
    {
        $isThreaded = static fn (Tool $tool): bool => in_array($tool->kind, [ToolKind::Tap, ToolKind::ThreadMill], true);

        return $this->gapOfTools($input, 'pitch', 'pitch', static fn (Tool $tool): bool => $isThreaded($tool) && $tool->geometry->pitch === null);
    }

    public function examine(CheckInput $input): iterable
    {
        $seen = [];
        foreach ($input->cuts->firstCut as $number => $line) {
            $state = $input->trace->states[$number];
            $tool = $input->setup->tooling->tools[$state->tool] ?? null;
            // Of what is no tap cutting.tap-cycle says so.
            $taps = $tool?->isTap() === true ? CycleCatalogue::inForce($state->cycle)?->thread() ?? 0 : 0;
            if ($tool !== null && $tool->geometry->pitch === null && $taps !== 0 && ! isset($seen[$state->tool])) {
                $seen[$state->tool] = true;
                yield new Finding(
                    $this->name(), Severity::Caution, $line, 1, 'T{tool} taps, and its pitch is not given: its feed is not checked.',
                    ['tool' => $state->tool],
                    'Enter the pitch in the setup. Feed is speed times pitch.', field: $input->toolField($state->tool, 'pitch'),
                );
            }
            if ($taps === 0 || $tool?->geometry->pitch === null || $state->spindle->rpm <= 0.0 || $state->spindle->turn === 0 || isset($seen[$state->tool])) {
                continue;
            }
            $feed = $input->cuts->firstFeed[$number] ?? 0.0;
            $right = $tool->geometry->pitch * $state->spindle->rpm;
            if (abs($feed - $right) <= 0.005 * $right) {
                continue;
            }
            if (isset($input->trace->noticeCounts['unknown-code']) && abs($feed - $tool->geometry->pitch) <= 0.005 * $tool->geometry->pitch) {
                continue; // the feed is a turn's, and the code that says so was not read
            }
            $seen[$state->tool] = true;
            yield new Finding(
                $this->name(), Severity::Stop, $line, 1,
                'T{tool} taps at {feed}; at {speed} its pitch of {pitch} needs {right}.',
                [
                    'tool' => $state->tool, 'feed' => Quantity::feed($feed), 'speed' => Quantity::rpm($state->spindle->rpm),
                    'pitch' => Quantity::length($tool->geometry->pitch), 'right' => Quantity::feed($right),
                ],
                'Feed is speed times pitch: write F {right}, or change S.',
                edit: $this->ownFeed($input, $line, $number)?->replacedBy(
                    $input->written($state->modes->feedMode === Code::FeedPerRevolution ? $tool->geometry->pitch : $right),
                ),
            );
        }
    }

    /** The F the tap runs at, where it was written for the tap: one from before its tool change is another tool's. */
    private function ownFeed(CheckInput $input, int $line, int $state): ?PlacedWord
    {
        $word = $input->wordAt($line, 'F');
        $tool = $input->trace->states[$state]->tool;
        foreach ($input->trace->states as $number => $other) {
            if ($word !== null && $other->tool === $tool && ($input->cuts->firstRow[$number] ?? PHP_INT_MAX) <= $word->line) {
                return $word;
            }
        }

        return null;
    }
}
