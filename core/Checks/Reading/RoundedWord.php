<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Wording\Severity;

/** A word with ROUND in it that two controls read in two ways. */
final class RoundedWord extends NoticeCheck
{
    public function name(): string
    {
        return 'reading.rounded-word';
    }

    public function why(): string
    {
        return 'In a word, ROUND goes to the least increment on most controls and to a whole number on some. The place is then up to half a millimetre '
            .'away, or half an inch.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'rounded-word', Severity::Note,
                'This control rounds to {word}; one that rounds to whole numbers in a word would read {whole}.',
                'Round in a block of its own before it where a whole number is meant.',
            ),
        ];
    }
}
