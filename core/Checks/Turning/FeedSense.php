<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A feed that makes sense in the other feed mode only. */
final class FeedSense extends LatheCheck
{
    /** No turning tool is fed more a turn, or less a minute, mm (common practice). */
    private const MOST_BY_TURN = 1.5;

    private const MOST_IN_AIR = 10.0;

    private const LEAST_A_MINUTE = 3.0;

    public function name(): string
    {
        return 'turning.feed-sense';
    }

    public function why(): string
    {
        return 'F means mm a turn in one mode and mm a minute in the other. Read in the wrong one, the tool is rammed in or rubs.';
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        foreach ($input->lathe->mostFeed as $number => [$feed, $place]) {
            $state = $input->trace->states[$number];
            $kind = $input->setup->tooling->tools[$state->tool]->kind ?? ToolKind::Turning;
            if (isset($told[$state->tool]) || $kind === ToolKind::Tap || $kind === ToolKind::Threading) {
                continue;
            }
            $byTurn = $state->modes->feedMode === Code::FeedPerRevolution;
            $aMinute = $feed * $state->spindle->rpm;
            // A tool may be fed fast to where it begins to cut.
            $isAir = $byTurn && $feed <= self::MOST_IN_AIR && $input->turned?->isComplete() === true
                && ($input->turned->watch->mostFeed[$state->tool]->by ?? 0.0) <= self::MOST_BY_TURN;
            if ($byTurn ? $feed > self::MOST_BY_TURN && ! $isAir : ($aMinute < self::LEAST_A_MINUTE && $aMinute > 0.0)) {
                $told[$state->tool] = true;
                yield new Finding(
                    $this->name(), Severity::Stop, $byTurn ? $place : $input->lathe->firstFeed[$number] ?? $place, 1,
                    $byTurn ? 'T{tool} is fed {feed} a turn.' : 'T{tool} is fed {perMinute} a minute: next to nothing a turn.',
                    ['tool' => $state->tool, 'feed' => Quantity::length($feed), 'perMinute' => Quantity::length($aMinute)],
                    $byTurn ? 'Is it meant a minute? {code feed-per-minute} says so.' : 'Is it meant a turn? {code feed-per-revolution} says so.',
                );
            }
        }
    }
}
