<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** How a corner is broken or rounded in the block of the move that ends in it. */
enum CornerWords: string
{
    case None = 'none';
    case Comma = 'comma';
    case Plain = 'plain';

    /** @return list<string> letters of a chamfer and of a rounding as a block holds them; none where the control has neither */
    public function letters(): array
    {
        return match ($this) {
            self::None => [],
            self::Comma => [',C', ',R'],
            self::Plain => ['C', 'R'],
        };
    }
}
