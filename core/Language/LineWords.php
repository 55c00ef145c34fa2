<?php

declare(strict_types=1);

namespace OakTrace\Core\Language;

/**
 * The one reader of a line as it stands in its text, for all that explain it or change it: words with their places, its skip mark and
 * number, where it jumps to. Comments are passed over. Places are bytes of the line, from 0.
 *
 * A word: its letter in capitals, with the comma before it where it has one; its number as written; and where each begins.
 *
 * @phpstan-type Word array{letter: string, number: string, from: int, at: int}
 */
final class LineWords
{
    /** What has a letter before a number and is no word: a step of flow, a parameter that is given a name, and the name of one. */
    private const NO_WORD = '(?:GOTO|END|DO|SETVN)\s*\d+|#<[^>]*>?';

    private const NUMBER = '[-+]?(?:\d+\.?\d*|\.\d+)';

    /**
     * @return list<Word> none where the line reckons with parameters or expressions
     */
    public static function of(string $line): array
    {
        return self::reckons($line) ? [] : self::plain($line);
    }

    /**
     * Those with a plain number, also in a line that reckons in others.
     *
     * @return list<Word>
     */
    public static function plain(string $line): array
    {
        $text = self::bare($line);
        // What stands in brackets is reckoned, and LT 6 there is no T.
        for ($more = str_contains($text, '[') ? 1 : 0; $more > 0;) {
            $text = (string) preg_replace_callback('/\[[^\[\]]*\]/', static fn (array $sum): string => str_repeat('_', strlen($sum[0])), $text, -1, $more);
        }
        preg_match_all(
            '/(?:'.self::NO_WORD.')(*SKIP)(*FAIL)|((?:,\s*)?[A-Z])\s*('.self::NUMBER.')/i', $text, $found, PREG_OFFSET_CAPTURE | PREG_SET_ORDER,
        );

        return array_map(
            static fn (array $word): array => [
                'letter' => strtoupper((string) preg_replace('/\s/', '', $word[1][0])), 'number' => $word[2][0], 'from' => $word[1][1], 'at' => $word[2][1],
            ],
            $found,
        );
    }

    /** Whether a line has a parameter, an expression, or gives a value. */
    public static function reckons(string $line): bool
    {
        return strpbrk(self::bare($line), '#[=') !== false;
    }

    /** Whether a word is an expression or a parameter, so that no number stands there. */
    public static function isReckoned(string $line, string $letter): bool
    {
        return preg_match('/(?<![A-Z<])'.$letter.'\s*[-+]?\s*[#\[]/i', self::bare($line)) === 1;
    }

    /** Whether a line has a word with one of some letters, its number plain or reckoned. */
    public static function names(string $line, string $letters): bool
    {
        return preg_match('/['.$letters.']\s*[-+.\d#\[]/i', self::bare($line)) === 1;
    }

    /** @return array{mark: string, at: int} the skip mark as written, with the blanks behind it; empty where there is none */
    public static function skipMark(string $line): array
    {
        preg_match('/^\s*(\/[1-9]?[ \t]*)?/', $line, $head);

        return ['mark' => $head[1] ?? '', 'at' => strlen($head[0] ?? '') - strlen($head[1] ?? '')];
    }

    /** @return array{number: int|null, at: int, length: int} the number of a block, from its N to the first word; length 0 where it has none */
    public static function blockNumber(string $line): array
    {
        preg_match('/^(\s*(?:\/\d?\s*)?)(?:N\s*(\d+)\s*)?/i', $line, $head);
        $at = strlen($head[1] ?? '');

        return ['number' => isset($head[2]) ? (int) $head[2] : null, 'at' => $at, 'length' => strlen($head[0] ?? '') - $at];
    }

    /** @return array{number: int|null, at: int, length: int}|null where a line jumps to; the number null where it is reckoned */
    public static function jump(string $line): ?array
    {
        if (preg_match('/GOTO\s*(?:(\d+)|[#\[])/i', self::bare($line), $found, PREG_OFFSET_CAPTURE) !== 1) {
            return null;
        }

        return isset($found[1]) ? [
            'number' => (int) $found[1][0], 'at' => $found[1][1], 'length' => strlen($found[1][0]),
        ] : ['number' => null, 'at' => $found[0][1], 'length' => 0];
    }

    /** Whether a line is nothing but words with plain numbers, behind its skip mark and number. */
    public static function isPlain(string $line): bool
    {
        return preg_match('/^\s*(?:\/\d?\s*)?(?:(?:,\s*)?[A-Z]\s*'.self::NUMBER.'\s*)+$/i', self::bare($line)) === 1;
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

    /** The line with its comments blanked out, and the name of a program in < > at its beginning. */
    public static function bare(string $line): string
    {
        return (string) preg_replace_callback(
            '/\([^)]*\)?|;.*|^\s*<[^<>]*>/', static fn (array $comment): string => str_repeat(' ', strlen($comment[0])), $line,
        );
    }

    /** Whether a line is a block: no empty line, no comment alone, no tape mark, no program number or name alone. */
    public static function isBlock(string $line): bool
    {
        $bare = trim(self::bare($line));

        return $bare !== '' && preg_match('/^(?:%|[O:]\s*\d+$)/i', $bare) !== 1;
    }
}
