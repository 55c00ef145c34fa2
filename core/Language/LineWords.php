<?php

declare(strict_types=1);

namespace OakTrace\Core\Language;

/** The words of one line as they stand in its text: letter, number as written, and where the number is. Comments are passed over. */
final class LineWords
{
    /**
     * @return list<array{letter: string, number: string, at: int}> `at`: byte of the number in the line, from 0; none where the line
     *                                                               reckons with parameters or expressions
     */
    public static function of(string $line): array
    {
        $bare = self::bare($line);
        if (strpbrk($bare, '#[=') !== false) {
            return [];
        }
        preg_match_all('/([A-Z])\s*([-+]?(?:\d+\.?\d*|\.\d+))/i', $bare, $found, PREG_OFFSET_CAPTURE | PREG_SET_ORDER);

        return array_map(static fn (array $word): array => ['letter' => strtoupper($word[1][0]), 'number' => $word[2][0], 'at' => $word[2][1]], $found);
    }

    /** The line with its comments blanked out. */
    public static function bare(string $line): string
    {
        return (string) preg_replace_callback('/\([^)]*\)?|;.*/', static fn (array $comment): string => str_repeat(' ', strlen($comment[0])), $line);
    }

    /** Whether a line is a block: no empty line, no comment alone, no tape mark, no program number alone. */
    public static function isBlock(string $line): bool
    {
        $bare = trim(self::bare($line));

        return $bare !== '' && preg_match('/^(?:%|[O:]\s*\d+$)/i', $bare) !== 1;
    }
}
