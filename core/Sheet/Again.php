<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** An operation made once more, with the same tool or another: its finish alone, or burrs after a cut that crosses it. */
final class Again
{
    public const KIND = 'again';

    private const WHICH = ['all', 'rough', 'finish'];

    /** @return list<Ask> */
    public static function asks(): array
    {
        return [Ask::operation('of', 'Which operation'), Ask::choice('which', 'What of it', self::WHICH)];
    }

    public static function which(Answers $answers): Only
    {
        return Only::from($answers->choice('which', self::WHICH));
    }
}
