<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

/** What the numbers of a packed column are; all little-endian. */
enum ColumnType: string
{
    case U8 = 'u8';
    case U16 = 'u16';
    case U32 = 'u32';
    case F32 = 'f32';
    case F64 = 'f64';

    /** Code of pack() and unpack() for a whole column. */
    public function format(): string
    {
        return match ($this) {
            self::U8 => 'C*',
            self::U16 => 'v*',
            self::U32 => 'V*',
            self::F32 => 'g*',
            self::F64 => 'e*',
        };
    }

    /** Bytes of one number. */
    public function size(): int
    {
        return match ($this) {
            self::U8 => 1,
            self::U16 => 2,
            self::U32, self::F32 => 4,
            self::F64 => 8,
        };
    }
}
