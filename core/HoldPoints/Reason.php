<?php

declare(strict_types=1);

namespace OakTrace\Core\HoldPoints;

/** Why a moment deserves a hold, in the order of their weight. */
enum Reason: int
{
    case FirstDown = 0;
    case Caution = 1;
    case Lowest = 2;
    case ClosestRapid = 3;
    case FirstUse = 4;
    case LargestStep = 5;
    case ClosestToLimit = 6;

    /**
     * @param  string  $what  the tool, the offset, the axis or the check it is about
     * @param  bool  $isLathe  where tools come from the side
     */
    public function words(string $what, bool $isLathe = false): string
    {
        return match ($this) {
            self::FirstDown => $isLathe ? "first approach of {$what}" : "first move down of {$what}",
            self::Caution => "caution: {$what}",
            self::Lowest => "lowest cut of the run, {$what}",
            self::ClosestRapid => "rapid that ends closest to the stock, {$what}",
            self::FirstUse => "first use of {$what}",
            self::LargestStep => "deepest pass, {$what}",
            self::ClosestToLimit => "closest to a limit, {$what}",
        };
    }
}
