<?php

declare(strict_types=1);

namespace OakTrace\Core\Language;

use OakTrace\Core\Language\Expressions\SyntaxProblem;

/**
 * Text of one line -> words (ISO 6983-1: a letter and a number). What cannot be read is reported with its column and
 * left out; reading goes on with the next word.
 */
final class BlockReader
{
    /** A word, or any one other character: the second alternative leaves both groups empty. */
    private const WORD = '/([A-Z])([-+]?(?:[0-9]+\.?[0-9]*|\.[0-9]+))|./s';

    private const COMMA_WORD = '/(,?[A-Z])([-+]?(?:[0-9]+\.?[0-9]*|\.[0-9]+))|./s';

    /** A block of nothing but G0 or G1, places, centres and a feed, every number but the code's with its point: most of a long program. */
    public const PLAIN = '/^(?:N\d{1,9})?(?:G0?[01](?=[A-Z]))?(?:[XYZIJKF][-+]?(?:\d{1,9}\.\d{0,9}|\.\d{1,9})){1,6}$/D';

    /** The name some controls have in place of a program number: <BRACKET-10>. */
    private const PROGRAM_NAME = '/^<[^<>]{1,64}>$/D';

    /** Figures of a number that is read without a second look: what is longer may be too large. */
    private const LONGEST_NUMBER = 10;

    /** No place, speed or time is so large. */
    private const TOO_LARGE = 1e9;

    /** Longer than any control's block buffer; what stands past it is not read. */
    private const LONGEST_LINE = 2000;

    /** @var array<int|string, int> G or M number as written => tenths */
    private array $tenths = [];

    /** @var list<array{TextProblem, int, string}> problem, offset in the prepared text, the text concerned */
    private array $problems = [];

    /** Characters taken off the front of the text before the words. */
    private int $taken = 0;

    /** @var list<string> letters that stand twice in the block */
    private array $repeated = [];

    private readonly StatementReader $statements;

    private readonly string $word;

    /** @param  bool  $commaWords  whether a word may begin with a comma: ,R2. is the word ",R" then */
    public function __construct(private readonly bool $semicolonComments = true, bool $commaWords = false)
    {
        $this->word = $commaWords ? self::COMMA_WORD : self::WORD;
        $this->statements = new StatementReader($commaWords);
    }

    /**
     * @param  string  $text  one line of a LineReader
     * @return bool false where something could not be read or stands twice: see problems() and repeated()
     */
    public function read(int $line, string $text, Block $block): bool
    {
        $this->problems = [];
        $this->repeated = [];
        $this->taken = 0;
        $block->clear($line);

        if (strlen($text) > self::LONGEST_LINE) {
            $this->problems[] = [TextProblem::LineTooLong, self::LONGEST_LINE, (string) strlen($text)];
            $text = substr($text, 0, self::LONGEST_LINE);
        }
        if (strpbrk($text, '(;%:/[#=<') !== false) {
            $text = $this->withoutComments($text);
            $text = $this->marks($text, $block);
            if (strpbrk($text, '[#=') !== false) {
                return $this->readStatement($text, $block);
            }
        }

        // Letter, number, letter, number: a scan with no regular expression, for every block that is as it should be.
        $length = strlen($text);
        $words = [];
        for ($at = 0; $at < $length; $at += $span + 1) {
            $letter = $text[$at];
            $span = strspn($text, '0123456789.-+', $at + 1);
            $number = substr($text, $at + 1, $span);
            if ($letter < 'A' || $letter > 'Z' || $letter === 'O' || $span > self::LONGEST_NUMBER || ! is_numeric($number) || isset($words[$letter])) {
                return $this->readWithCare($text, $block);
            }
            if ($letter === 'G') {
                $block->g[] = $this->tenths[$number] ??= (int) round((float) $number * 10);
            } elseif ($letter === 'M') {
                $block->m[] = $this->tenths[$number] ??= (int) round((float) $number * 10);
            } else {
                $words[$letter] = (float) $number;
                if (! str_contains($number, '.') && (int) $number !== 0) {
                    $block->withoutPoint .= $letter;
                }
            }
        }
        $block->words = $words;

        return $this->problems === [];
    }

    /** Reads a block with expressions or parameters in it. */
    private function readStatement(string $text, Block $block): bool
    {
        try {
            $block->statement = $this->statements->read($text);
        } catch (SyntaxProblem $problem) {
            // What is wrong with its plain words is told too; brackets and the like are no fault of theirs.
            $this->findProblems(
                (string) preg_replace_callback(
                    '/#<[^>]*>|GOTO|A?COS|ROUND|MOD|X?OR|DO/', static fn (array $word): string => str_repeat('1', strlen($word[0])), $text,
                ),
            );
            $this->problems = array_values(array_filter($this->problems, static fn (array $found): bool => $found[0] === TextProblem::LetterForZero));
            $this->problems[] = [TextProblem::Expression, min($problem->offset, max(0, strlen($text) - 1)) + $this->taken, $problem->getMessage()];
        }

        return $this->problems === [];
    }

    /** Reads a block again that has something unreadable, a word twice, or an O in it. */
    private function readWithCare(string $text, Block $block): bool
    {
        if (StatementReader::isFlow($text) || StatementReader::isOutput($text)) {
            return $this->readStatement($text, $block);
        }
        $block->g = $block->m = [];
        $block->withoutPoint = '';
        preg_match_all($this->word, $text, $match);
        $numbers = $match[2];
        $words = $sets = [];
        $clean = true;

        foreach ($match[1] as $i => $letter) {
            $number = $numbers[$i];

            if (abs((float) $number) >= self::TOO_LARGE) {
                $this->problems[] = [TextProblem::NumberTooLarge, (int) strpos($text, $letter.$number) + $this->taken, $letter.$number];
            } elseif ($letter === 'G') {
                $block->g[] = (int) round((float) $number * 10);
            } elseif ($letter === 'M') {
                $block->m[] = (int) round((float) $number * 10);
            } elseif ($letter === '') {
                $clean = false;
            } else {
                if (isset($words[$letter])) {
                    $this->repeated[] = $letter;
                }
                $words[$letter] = (float) $number;
                if ($letter === 'I' || $letter === 'J' || $letter === 'K') {
                    $sets[] = [$letter, $words[$letter]];
                }
                // A word behind a comma is a size, which no control counts in increments.
                if ($words[$letter] != 0.0 && ! str_contains($number, '.') && strlen($letter) === 1) {
                    $block->withoutPoint .= $letter;
                }
            }
        }

        if (isset($words['O'])) {
            if (self::mayBeProgramNumber($match[1], (int) array_search('O', $match[1], true))) {
                $block->programNumber = (string) (int) $words['O'];
            } else {
                $clean = false;
            }
            unset($words['O']);
        }
        $block->words = $words;
        $block->sets = $this->repeated === [] ? [] : $sets;
        if (! $clean) {
            $this->findProblems($text);
        }

        return $this->problems === [] && $this->repeated === [];
    }

    /** @return list<array{TextProblem, int, string}> problem, offset in the block's text, the text concerned */
    public function problems(): array
    {
        return $this->problems;
    }

    /** @return list<string> */
    public function repeated(): array
    {
        return $this->repeated;
    }

    /**
     * The column (from 1) of the $occurrence-th word with a letter in a line as given; 1 where there is no such word.
     */
    public static function column(string $line, string $letter, int $occurrence = 1): int
    {
        $blanked = LineWords::bare($line);
        $at = -1;
        while ($occurrence-- > 0) {
            $next = stripos($blanked, $letter, $at + 1);
            if ($next === false) {
                return 1;
            }
            $at = $next;
        }

        return $at + 1;
    }

    /**
     * The column (from 1) in the line as given of the character at $offset of the text without blanks and comments.
     */
    public static function columnOfOffset(string $line, int $offset): int
    {
        $blanked = (string) preg_replace_callback('/\([^)]*\)|;.*/', static fn (array $m): string => str_repeat(' ', strlen($m[0])), $line);
        $length = strlen($blanked);
        for ($i = 0; $i < $length; $i++) {
            if ($blanked[$i] !== ' ' && $blanked[$i] !== "\t" && $blanked[$i] !== "\r" && $offset-- === 0) {
                return $i + 1;
            }
        }

        return 1;
    }

    private function withoutComments(string $text): string
    {
        if (str_contains($text, '(')) {
            $text = (string) preg_replace('/\([^)]*\)/', '', $text);
        }
        if ($this->semicolonComments && ($at = strpos($text, ';')) !== false) {
            $text = substr($text, 0, $at);
        }
        if (($at = strpos($text, '(')) !== false) {
            $this->problems[] = [TextProblem::OpenComment, $at, substr($text, $at)];
            $text = substr($text, 0, $at);
        }

        return $text;
    }

    /** Takes the marks that stand before the words: %, the name of a program, the block skip slash, and the colon some write for O. */
    private function marks(string $text, Block $block): string
    {
        if ($text !== '' && ($text[0] === '%' || preg_match(self::PROGRAM_NAME, $text) === 1)) {
            return '';
        }
        if (preg_match('/^\/([1-9]?)/', $text, $match) === 1) {
            $block->skip = $match[1] === '' ? 1 : (int) $match[1];
            $text = substr($text, strlen($match[0]));
            $this->taken = strlen($match[0]);
        }
        if ($text !== '' && $text[0] === ':') {
            $text = 'O'.substr($text, 1);
        }

        return $text;
    }

    /**
     * An O word is a program number only where a block begins, a block number before it at the most; anywhere else it is
     * the letter typed for a zero.
     *
     * @param  list<string>  $words
     */
    private static function mayBeProgramNumber(array $words, int $at): bool
    {
        return $at === 0 || ($at === 1 && str_starts_with($words[0], 'N'));
    }

    /** Goes over a text with something unreadable in it again, this time with places and reasons. */
    private function findProblems(string $text): void
    {
        preg_match_all($this->word, $text, $match, PREG_OFFSET_CAPTURE | PREG_SET_ORDER);
        $end = -1;
        foreach ($match as $i => $found) {
            if (isset($found[1]) && ($found[1][0] !== 'O' || self::mayBeProgramNumber(array_column(array_column($match, 0), 0), $i))) {
                continue;
            }
            [$character, $offset] = [$found[0][0][0], $found[0][1]];
            if ($offset <= $end) {
                continue;
            }
            $rest = substr($text, $offset);
            $before = $i > 0 ? $match[$i - 1][0][0] : '';
            [$problem, $piece] = self::reason($character, $rest, $before);
            $end = $offset + strlen($piece) - 1;
            // What stands within a number is shown with its whole word.
            $isWithin = $problem === TextProblem::DecimalComma || ($problem === TextProblem::LetterForZero && $character === 'O');
            $this->problems[] = [$problem, $offset + $this->taken, $isWithin ? $before.$piece : $piece];
        }
    }

    /** @return array{TextProblem, string} the reason and the text it concerns */
    private static function reason(string $character, string $rest, string $before): array
    {
        if ($character === '.' && $before !== '' && str_contains($before, '.')) {
            return [TextProblem::SecondPoint, (string) preg_replace('/^([.0-9]*).*$/s', '$1', $rest)];
        }
        if ($character === ',' && preg_match('/^[A-Z][-+]?\d+$/', $before) === 1 && preg_match('/^,\d+/', $rest, $match) === 1) {
            return [TextProblem::DecimalComma, $match[0]];
        }
        if ($character === 'O' && $before !== '') {
            return [TextProblem::LetterForZero, (string) preg_replace('/^(O[.O0-9]*).*$/s', '$1', $rest)];
        }
        if (ctype_alpha($character)) {
            if (preg_match('/^[A-Z][-+]?\.?O[.O0-9]*/', $rest, $match) === 1) {
                return [TextProblem::LetterForZero, $match[0]];
            }

            return [TextProblem::MissingNumber, (string) preg_replace('/^([A-Z][-+.]*).*$/s', '$1', $rest)];
        }

        // A character of several bytes is reported whole; a byte that is no text at all by its number.
        $length = strlen($rest);
        for ($bytes = 1; $bytes <= min(4, $length); $bytes++) {
            if (mb_check_encoding(substr($rest, 0, $bytes), 'UTF-8')) {
                return [TextProblem::StrayCharacter, substr($rest, 0, $bytes)];
            }
        }

        return [TextProblem::StrayCharacter, sprintf('byte %02X', ord($character))];
    }
}
