<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A feed a turn that is too much for the nose of the insert. */
final class FeedNose extends LatheCheck
{
    /** Share of the nose radius a feed stays below (common practice). */
    private const MOST = 0.8;

    public function name(): string
    {
        return 'turning.feed-nose';
    }

    public function why(): string
    {
        return 'Fed nearly as far as its radius in a turn, the nose no longer overlaps its own cut. What comes out is a thread, and the nose breaks.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach (CutFeeds::of($input) as $number => [$feed, $place]) {
            $tool = $input->setup->tooling->tools[$number] ?? null;
            if ($tool?->insert->includedAngle === null) {
                continue;
            }
            $radius = $tool->geometry->cornerRadius;
            if ($radius <= 0.0 || $feed <= self::MOST * $radius) {
                continue;
            }
            yield new Finding(
                $this->name(), $feed > $radius ? Severity::Stop : Severity::Caution, $place, 1, 'T{tool} is fed {feed} a turn with a nose of R{radius}.',
                ['tool' => $tool->number, 'feed' => Quantity::length($feed), 'radius' => Quantity::length($radius)],
                'Feed no more than 0.8 of the nose radius.',
            );
        }
    }
}
