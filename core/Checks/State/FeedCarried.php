<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tool that cuts at the feed of the tool before it. */
final class FeedCarried extends MillCheck
{
    public function name(): string
    {
        return 'state.feed-carried';
    }

    public function why(): string
    {
        return 'The feed that suited the last tool may break this one. A drill\'s feed at a small end mill, or the reverse, is a typical slip.';
    }

    public function examine(CheckInput $input): iterable
    {
        $seen = [];
        $cuts = $input->cuts->firstFed;
        asort($cuts);
        foreach ($cuts as $number => $line) {
            $tool = $input->trace->states[$number]->tool;
            if ($tool === 0 || isset($seen[$tool]) || isset($input->trace->noticeCounts['cycle-at-tool-change']) || ! $input->trace->sources->isInMain($line)) {
                continue;
            }
            $seen[$tool] = true;
            $feed = $input->wordAt($line, 'F');
            $change = $this->changedIn($input, $tool, $line);
            if ($feed === null || $change === null || $feed->line >= $change || $input->cuts->firstFeed[$number] <= 0.0) {
                continue;
            }
            yield new Finding(
                $this->name(), Severity::Caution, $line, 1, 'T{tool} cuts at {feed}, the feed of the tool before it: no F since the tool change.',
                ['tool' => $tool, 'feed' => Quantity::feed($input->cuts->firstFeed[$number])], 'Give the tool its own F.',
            );
        }
    }

    /** The line at which a tool last came into the spindle before a cut. */
    private function changedIn(CheckInput $input, int $tool, int $cut): ?int
    {
        $rows = $input->cuts->firstRow;
        asort($rows);
        $before = $change = null;
        foreach ($rows as $number => $line) {
            $now = $input->trace->states[$number]->tool;
            if ($line <= $cut && $now === $tool && $now !== $before) {
                $change = $line;
            }
            $before = $now;
        }

        return $change;
    }
}
