<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** How T is read: as the number of a tool that M6 brings in, or as a station and the number of its offset, so many digits each. */
enum ToolWord: string
{
    case Number = 'number';
    case OneAndOne = '1+1';
    case TwoAndTwo = '2+2';
    case ThreeAndThree = '3+3';

    /** Digits of the offset number behind the station; null where T is a number alone. */
    public function offsetDigits(): ?int
    {
        return match ($this) {
            self::Number => null,
            self::OneAndOne => 1,
            self::TwoAndTwo => 2,
            self::ThreeAndThree => 3,
        };
    }
}
