<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A feed that gives each tooth more than it can take, or so little that it rubs. */
final class FeedPerTooth extends MillCheck
{
    /** So many times the widest range nobody means. */
    private const FAR = 10.0;

    /** A load that reads as the limit is none over it, mm. */
    private const ROUNDED = 0.0005;

    public function name(): string
    {
        return 'cutting.feed-per-tooth';
    }

    public function why(): string
    {
        return 'Too much a tooth breaks the edge, too little rubs it dull. A wrong feed mode or a lost digit shows here first.';
    }

    public function examine(CheckInput $input): iterable
    {
        $seen = [];
        foreach ($this->feeds($input) as [$number, $line, $feed, $isSlowest]) {
            $state = $input->trace->states[$number];
            $tool = $input->setup->tooling->tools[$state->tool] ?? null;
            $range = $tool?->geometry->flutes === null ? null : CuttingData::feedPerTooth($tool);
            if (
                $tool === null || $range === null || $state->spindle->turn === 0 || $state->spindle->rpm <= 0.0 || $feed <= 0.0
                || ($feed > ($input->setup->machine->maxFeed ?? INF) && $state->modes->feedMode !== Code::FeedPerRevolution)
                || isset($seen[$state->tool]) || CuttingData::speedIsOdd($tool, $state, $input->setup)
            ) {
                continue;
            }
            $tooth = $feed / ($state->spindle->rpm * (int) $tool->geometry->flutes);
            // A tool may go slower than it is meant to on its way in and round a corner, but not so slowly that no tool of its kind would cut.
            $least = $isSlowest ? min($range[0], (CuttingData::usualFeedPerTooth($tool) ?? $range)[0]) : $range[0];
            if ($tooth >= $least - self::ROUNDED && $tooth <= $range[1] + self::ROUNDED) {
                continue;
            }
            $seen[$state->tool] = true;
            $word = $input->wordAt($line, 'F');
            $isFar = $tooth > self::FAR * $range[1];
            $isPerTurn = $state->modes->feedMode === Code::FeedPerRevolution;
            yield new Finding(
                $this->name(), $isFar ? Severity::Stop : Severity::Caution, $word->line ?? $line, $word->column ?? 1,
                $tooth > $range[1]
                    ? 'T{tool} has a chip load of {tooth} at {feed} and {speed} with {flutes} flutes: more than {most}.'
                    : 'T{tool} has a chip load of {tooth} at {feed} and {speed} with {flutes} flutes: it rubs below {least}.',
                [
                    'tool' => $state->tool, 'tooth' => Quantity::length($tooth), 'feed' => Quantity::feed($feed),
                    'speed' => Quantity::rpm($state->spindle->rpm),
                    'flutes' => (int) $tool->geometry->flutes, 'least' => Quantity::length($least), 'most' => Quantity::length($range[1]),
                ],
                match (true) {
                    $isFar && $isPerTurn => 'F is feed per revolution here. Is feed per minute meant?',
                    $isFar => 'Check F and S: is a decimal point missing, or the feed mode wrong?',
                    default => 'Check F and S. If they are right, enter the chip load of the tool in the setup.',
                }, field: 'tools',
            );
        }
    }

    /** @return iterable<array{int, int, float, bool}> state, line and feed of the quickest cut under each state, then of the slowest */
    private function feeds(CheckInput $input): iterable
    {
        foreach ($input->cuts->mostFeed as $state => [$line, $feed]) {
            yield [$state, $line, $feed, false];
        }
        foreach ($input->cuts->leastFeed as $state => [$line, $feed]) {
            yield [$state, $line, $feed, true];
        }
    }
}
