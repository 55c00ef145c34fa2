<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** How a corner is broken or rounded in the block of the move that ends in it. */
enum CornerWords: string
{
    case None = 'none';
    case Comma = 'comma';
    case Plain = 'plain';

    /** I of a move along Z and K of one along X break it, R rounds it; the sign of each says which way the next move goes (common practice). */
    case Signed = 'signed';

    /** @return list<string> letters of a chamfer and of a rounding as a block holds them; none where the control has neither */
    public function letters(): array
    {
        return match ($this) {
            self::None => [],
            self::Comma => [',C', ',R'],
            self::Plain => ['C', 'R'],
            self::Signed => ['I', 'K', 'R'],
        };
    }

    /** Whether a letter rounds a corner; any other of them breaks it. */
    public static function rounds(string $letter): bool
    {
        return str_ends_with($letter, 'R');
    }

    /**
     * Whether a letter breaks the corner a feed move ends in. Where the machine has an axis of that name, it does so with the spindle
     * turning and one of Z and X said: an axis C is moved with the spindle stopped (common practice).
     *
     * @param  array<string, float>  $words  of the block
     */
    public function breaks(string $letter, array $words, bool $hasAxis, bool $turns): bool
    {
        [$saysX, $saysZ] = [isset($words['X']) || isset($words['U']), isset($words['Z']) || isset($words['W'])];
        if (! in_array($letter, $this->letters(), true)) {
            return false;
        }
        if ($this === self::Signed) {
            return $saysX !== $saysZ && ($letter === 'R' || $saysZ === ($letter === 'I'));
        }

        return ! $hasAxis || ($turns && $saysX !== $saysZ);
    }
}
