<?php

declare(strict_types=1);

namespace OakTrace\Core\Wording;

/** The questions a machinist asks before running, in the order they are put right. */
enum Question: string
{
    case Reads = 'Does it read?';
    case Ready = 'Is the machine ready for each cut?';
    case Heights = 'Are the heights right?';
    case Fits = 'Does it fit the machine?';
    case Cut = 'Is the cut sound?';
    case Offsets = 'Are the offsets right?';

    /** The question a check belongs to, by the group its name begins with. */
    public static function of(string $check): self
    {
        return match (strstr($check, '.', true)) {
            'state' => self::Ready,
            'heights' => self::Heights,
            'travel' => self::Fits,
            'cutting' => self::Cut,
            'offsets' => self::Offsets,
            default => self::Reads,
        };
    }
}
