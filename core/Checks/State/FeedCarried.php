<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tool that cuts at the feed of the tool before it. */
final class FeedCarried implements Check
{
    public function name(): string
    {
        return 'state.feed-carried';
    }

    public function examine(Evidence $evidence): iterable
    {
        $seen = [];
        $cuts = $evidence->cuts->firstCut;
        asort($cuts);
        foreach ($cuts as $number => $line) {
            $tool = $evidence->trace->states[$number]->tool;
            if ($tool === 0 || isset($seen[$tool]) || isset($evidence->trace->noticeCounts['cycle-at-tool-change']) || ! $evidence->trace->library->isInMain($line)) {
                continue;
            }
            $seen[$tool] = true;
            $feed = $evidence->wordAt($line, 'F');
            $change = $this->changedIn($evidence, $tool);
            if ($feed === null || $change === null || $feed->line >= $change || $evidence->cuts->firstFeed[$number] <= 0.0) {
                continue;
            }
            yield new Finding(
                $this->name(), Severity::Caution, $line, 1, 'T{tool} cuts at {feed}, the feed of the tool before it: none was said since it was changed in.',
                ['tool' => $tool, 'feed' => Quantity::feed($evidence->cuts->firstFeed[$number])], 'Give the tool its own F.',
            );
        }
    }

    /** The first line a tool is in the spindle at. */
    private function changedIn(Evidence $evidence, int $tool): ?int
    {
        $first = null;
        foreach ($evidence->trace->states as $number => $state) {
            $line = $evidence->cuts->firstRow[$number] ?? null;
            if ($state->tool === $tool && $line !== null) {
                $first = min($first ?? $line, $line);
            }
        }

        return $first;
    }
}
