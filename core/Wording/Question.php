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

    /** Checks of lathes, by the question each belongs to. */
    private const TURNING = [
        'profile' => self::Reads, 'corner' => self::Reads, 'no-lathe-check' => self::Cut, 'nose-data' => self::Ready,
        'insert-wrong-side' => self::Ready, 'feed-sense' => self::Ready,
        'no-clamp' => self::Ready, 'chuck-speed' => self::Ready, 'zone' => self::Fits, 'index' => self::Fits, 'x-past-centre' => self::Heights,
        'offset' => self::Offsets, 'spindle-sense' => self::Ready, 'rapid-into-stock' => self::Heights, 'rapid-near' => self::Heights,
        'hole-plane' => self::Reads, 'allowance-sign' => self::Reads, 'angle' => self::Reads, 'cycle-start' => self::Reads, 'taper' => self::Reads,
        'sync' => self::Ready, 'left-on' => self::Ready, 'driven' => self::Ready, 'thread-speed' => self::Ready,
        'holder' => self::Fits, 'neighbour' => self::Fits, 'reference' => self::Fits,
    ];

    /** The question a check belongs to, by the group its name begins with. */
    public static function of(string $check): self
    {
        return match (strstr($check, '.', true)) {
            'turning' => self::TURNING[substr($check, 8)] ?? self::Cut,
            'state' => self::Ready,
            'heights' => self::Heights,
            'travel' => self::Fits,
            'cutting' => self::Cut,
            'offsets' => self::Offsets,
            default => self::Reads,
        };
    }
}
