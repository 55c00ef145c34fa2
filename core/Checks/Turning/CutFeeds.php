<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Stock\Turned\TurnedCut;

/** How fast the tools of a lathe are fed in the cut. */
final class CutFeeds
{
    /** @return array<int, array{float, int}> by tool its greatest feed a turn, mm, and the place; in the cut alone where the stock tells it */
    public static function of(CheckInput $input): array
    {
        if ($input->turned?->isComplete() === true) {
            return array_map(static fn (TurnedCut $cut): array => [$cut->by, $cut->place], $input->turned->watch->mostFeed);
        }
        $feeds = [];
        foreach ($input->lathe->mostFeed as $number => $feed) {
            $tool = $input->trace->states[$number]->tool;
            $feeds[$tool] = $feed[0] > ($feeds[$tool][0] ?? 0.0) ? $feed : $feeds[$tool];
        }

        return $feeds;
    }
}
