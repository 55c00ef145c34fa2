<?php

declare(strict_types=1);

namespace OakTrace\Core\HoldPoints;

/** Why a moment deserves a hold, in the order of their weight. */
enum Reason: int
{
    case FirstDown = 0;
    case Caution = 1;
    case Lowest = 2;
    case PartOff = 3;
    case ClosestRapid = 4;
    case Thread = 5;
    case FirstUse = 6;
    case LargestStep = 7;
    case ClosestToLimit = 8;

    /**
     * @param  string  $what  the tool, the offset, the axis or the check it is about
     * @param  bool  $isLathe  where tools come from the side
     */
    public function words(string $what, bool $isLathe = false): string
    {
        return match ($this) {
            self::FirstDown => $isLathe ? "first approach of {$what}" : "first move down of {$what}",
            self::Caution => "caution: {$what}",
            self::Lowest => $isLathe ? "cut closest to the chuck, {$what}" : "lowest cut of the run, {$what}",
            self::PartOff => "part comes off, {$what}",
            self::Thread => "first pass of a thread, {$what}",
            self::ClosestRapid => "rapid that ends closest to the stock, {$what}",
            self::FirstUse => "first use of {$what}",
            self::LargestStep => "deepest pass, {$what}",
            self::ClosestToLimit => "closest to a limit, {$what}",
        };
    }
}
