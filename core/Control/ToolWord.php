<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** How T is read: as the number of a tool that M6 brings in, as a station and the number of its offset, so many digits each, or beside D. */
enum ToolWord: string
{
    case Number = 'number';
    case OneAndOne = '1+1';
    case TwoAndTwo = '2+2';
    case ThreeAndThree = '3+3';

    /** T is the station, D the number of its offset. */
    case WithD = 't-d';

    /** Digits of the offset number behind the station; null where T is a number alone. */
    public function offsetDigits(): ?int
    {
        return match ($this) {
            self::Number => null,
            self::WithD => 0,
            self::OneAndOne => 1,
            self::TwoAndTwo => 2,
            self::ThreeAndThree => 3,
        };
    }
}
