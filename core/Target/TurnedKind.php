<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

use OakTrace\Core\Geometry\AxisName;

/** What a size of a turned part is measured on. */
enum TurnedKind: string
{
    case Diameter = 'diameter';
    case Bore = 'bore';

    /** A shoulder, or the end of the part: Z of it. */
    case Face = 'face';

    /** From one face to another. */
    case Length = 'length';

    /** Of a groove, between its walls. */
    case Width = 'width';
    case Chamfer = 'chamfer';
    case Round = 'round';
    case ThreadRoot = 'thread-root';
    case ThreadPitch = 'thread-pitch';

    /** How far a thread goes, towards the chuck: Z of it. */
    case ThreadEnd = 'thread-end';

    /** The whole of a shape: how far the part stands off it. */
    case Profile = 'profile';

    public function isDiameter(): bool
    {
        return match ($this) {
            self::Diameter, self::Bore, self::ThreadRoot => true,
            default => false,
        };
    }

    /** What stands before its figure. */
    public function sign(): string
    {
        return match ($this) {
            self::Face, self::ThreadEnd => AxisName::Z,
            self::Round => 'R',
            default => '',
        };
    }

    public function isOfThread(): bool
    {
        return match ($this) {
            self::ThreadRoot, self::ThreadPitch, self::ThreadEnd => true,
            default => false,
        };
    }
}
