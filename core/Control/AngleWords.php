<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** How the angle of a straight move is said in its block. */
enum AngleWords: string
{
    case None = 'none';
    case Comma = 'comma';
    case Plain = 'plain';
    case Either = 'either';

    /**
     * @param  bool  $hasAxis  whether the machine has an axis A, which the bare letter is then
     * @return list<string> the word as a block holds it
     */
    public function letters(bool $hasAxis): array
    {
        $plain = $hasAxis ? [] : ['A'];

        return match ($this) {
            self::None => [],
            self::Comma => [',A'],
            self::Plain => $plain,
            self::Either => [',A', ...$plain],
        };
    }
}
