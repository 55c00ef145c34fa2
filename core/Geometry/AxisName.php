<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/** The letters of the axes in the field's order (ISO 841): A B C turn about X Y Z, U V W run beside them. */
final class AxisName
{
    public const X = 'X';

    public const Y = 'Y';

    public const Z = 'Z';

    public const A = 'A';

    public const B = 'B';

    public const C = 'C';

    public const LINEAR = [self::X, self::Y, self::Z];

    public const ROTARY = [self::A, self::B, self::C];

    public const SECOND = ['U', 'V', 'W'];

    /** @return 0|1|2|null for X, Y and Z */
    public static function place(string $name): ?int
    {
        return match ($name) {
            self::X => 0,
            self::Y => 1,
            self::Z => 2,
            default => null,
        };
    }

    public static function isRotary(string $name): bool
    {
        return in_array($name[0], self::ROTARY, true);
    }

    /** The straight axis a rotary one turns about. */
    public static function about(string $rotary): string
    {
        return self::LINEAR[(int) array_search($rotary[0], self::ROTARY, true)];
    }
}
