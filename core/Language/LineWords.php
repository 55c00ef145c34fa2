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

    /**
     * G and M codes of a line, also of one that reckons.
     *
     * @return list<array{letter: string, tenths: int, at: int, length: int}> number in tenths; byte it begins at, from 0, and bytes it takes
     */
    public static function codes(string $line): array
    {
        preg_match_all('/(?<![A-Z#<])([GM])\s*(\d+(?:\.\d)?)/i', self::bare($line), $found, PREG_OFFSET_CAPTURE | PREG_SET_ORDER);

        return array_map(static fn (array $code): array => [
            'letter' => strtoupper($code[1][0]), 'tenths' => (int) round((float) $code[2][0] * 10), 'at' => $code[0][1], 'length' => strlen($code[0][0]),
        ], $found);
    }

    /** What stands before the first word of a block: blanks, its skip mark, its number. */
    public static function head(string $line): string
    {
        preg_match('/^\s*(?:\/\d?)?\s*(?:N\s*\d+\s*)?/i', $line, $head);

        return $head[0] ?? '';
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
