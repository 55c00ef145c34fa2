<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

enum ToolKind: string
{
    case EndMill = 'end-mill';
    case BallMill = 'ball-mill';
    case BullMill = 'bull-mill';
    case FaceMill = 'face-mill';
    case ChamferMill = 'chamfer-mill';
    case Drill = 'drill';
    case SpotDrill = 'spot-drill';
    case CenterDrill = 'center-drill';
    case Reamer = 'reamer';
    case Tap = 'tap';
    case BoringBar = 'boring-bar';
    case ThreadMill = 'thread-mill';
    case Engraver = 'engraver';
    case Probe = 'probe';
    case Turning = 'turning';
    case Grooving = 'grooving';
    case Parting = 'parting';
    case Threading = 'threading';
    case Boring = 'boring';
    case Shaping = 'shaping';

    /** As it is said in a sentence. */
    public function words(): string
    {
        return str_replace(['-', 'center'], [' ', 'centre'], $this->value);
    }

    /** Whether its depth of cut is what it takes off the radius as it goes along. */
    public function turns(): bool
    {
        return match ($this) {
            self::Turning, self::Boring, self::BoringBar => true,
            default => false,
        };
    }

    /** Whether it makes a hole larger with one edge. */
    public function bores(): bool
    {
        return $this === self::Boring || $this === self::BoringBar;
    }

    /** Whether it turns, or would if it were held in a spindle. */
    public function isRound(): bool
    {
        return match ($this) {
            self::Turning, self::Grooving, self::Parting, self::Threading, self::Boring, self::Shaping => false,
            default => true,
        };
    }

    /** Whether the kind ends in a cone whose tip runs ahead of its full diameter. */
    public function hasPoint(): bool
    {
        return match ($this) {
            self::Drill, self::SpotDrill, self::CenterDrill => true,
            default => false,
        };
    }

    /** Whether the kind usually goes straight down into material (common practice): the others want a hole that is there. */
    public function cutsAtCenter(): bool
    {
        return match ($this) {
            self::FaceMill, self::Reamer, self::Tap, self::BoringBar, self::ThreadMill => false,
            default => true,
        };
    }

    /** Whether it cuts with its cone alone: above that it is a shank. */
    public function cutsWithCone(): bool
    {
        return match ($this) {
            self::ChamferMill, self::SpotDrill, self::Engraver => true,
            default => false,
        };
    }

    /** Whether it cuts at its end alone, so that it can only go along its axis. */
    public function cutsAtEndOnly(): bool
    {
        return match ($this) {
            self::Drill, self::CenterDrill, self::Reamer, self::Tap => true,
            default => false,
        };
    }

    /** Whether its shank is usually as thick as it cuts, so that it rubs where the flute ends (common practice). */
    public function isStraight(): bool
    {
        return match ($this) {
            self::EndMill, self::BallMill, self::BullMill, self::Drill => true,
            default => false,
        };
    }

    /** Included point angle in degrees where the tool does not state one (common practice). */
    public function usualPointAngle(): float
    {
        return $this === self::Drill ? 118.0 : 90.0;
    }
}
