<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Quantities\Units;

/**
 * How one control reads codes: the numbers it uses for each function, the letters for each meaning, its switches, and what
 * is in force when it is switched on.
 */
final readonly class ControlProfile
{
    /**
     * @param  array<int, Code>  $gCodes  by G number in tenths
     * @param  array<int, Code>  $mCodes  by M number in tenths
     * @param  array<int, string>  $workOffsets  G number in tenths => name of the offset in the setup
     * @param  array<string, string>  $ownCodes  what withCodes() was given, kept for writing back
     * @param  array<string, string>  $ownWords  the letters that were changed
     * @param  list<array{int, int, SystemVariable}>  $systemVariables  first and last parameter number of each thing a program may ask for
     */
    public function __construct(
        public string $name,
        public string $title,
        public array $gCodes,
        public array $mCodes,
        public array $workOffsets,
        public string $defaultWorkOffset,
        public Units $defaultUnits,
        public ControlOptions $options,
        public WordLetters $letters = new WordLetters,
        public array $systemVariables = [],
        public array $ownCodes = [],
        public array $ownWords = [],
        public Plane $defaultPlane = Plane::XY,
        public Code $defaultFeedMode = Code::FeedPerMinute,
    ) {
    }

    /** Whether it is that of a lathe. */
    public function isOfLathe(): bool
    {
        return $this->defaultPlane === Plane::ZX;
    }

    /**
     * The same with some of it changed; null leaves a value as it is.
     *
     * @param  array<int, Code>|null  $gCodes
     * @param  array<int, Code>|null  $mCodes
     * @param  array<int, string>|null  $workOffsets
     * @param  list<array{int, int, SystemVariable}>|null  $systemVariables
     * @param  array<string, string>|null  $ownCodes
     * @param  array<string, string>|null  $ownWords
     */
    public function with(
        ?string $name = null,
        ?string $title = null,
        ?array $gCodes = null,
        ?array $mCodes = null,
        ?array $workOffsets = null,
        ?ControlOptions $options = null,
        ?WordLetters $letters = null,
        ?array $systemVariables = null,
        ?array $ownCodes = null,
        ?array $ownWords = null,
    ): self {
        return new self(
            $name ?? $this->name, $title ?? $this->title, $gCodes ?? $this->gCodes, $mCodes ?? $this->mCodes, $workOffsets ?? $this->workOffsets,
            $this->defaultWorkOffset, $this->defaultUnits, $options ?? $this->options, $letters ?? $this->letters,
            $systemVariables ?? $this->systemVariables, $ownCodes ?? $this->ownCodes, $ownWords ?? $this->ownWords, $this->defaultPlane,
            $this->defaultFeedMode,
        );
    }

    /**
     * The same with functions under other codes. A code given to a function is taken from the one that had it, and the
     * function's own earlier codes fall away.
     *
     * @param  array<string, string>  $codes  value of a Code, or name of a work offset => code as written: G283, M98
     *
     * @throws UnknownFunction naming the entry that cannot be
     */
    public function withCodes(array $codes): self
    {
        $tables = ['G' => $this->gCodes, 'M' => $this->mCodes];
        $workOffsets = $this->workOffsets;
        foreach ($codes as $function => $written) {
            $code = str_starts_with($function, 'G5') ? Code::WorkOffset : Code::tryFrom($function);
            if ($code === null || preg_match('/^([GM])(\d{1,4}(?:\.\d)?)$/', $written, $match) !== 1) {
                throw new UnknownFunction($function);
            }
            $number = (int) round((float) $match[2] * 10);
            if ($code === Code::WorkOffset) {
                $workOffsets[$number] = $function;
            } elseif ($code !== Code::Accepted) {
                $tables['G'] = array_filter($tables['G'], static fn (Code $other): bool => $other !== $code);
                $tables['M'] = array_filter($tables['M'], static fn (Code $other): bool => $other !== $code);
            }
            $tables[$match[1]][$number] = $code;
        }

        return $this->with(gCodes: $tables['G'], mCodes: $tables['M'], workOffsets: $workOffsets, ownCodes: $codes);
    }

    /**
     * What the codes of a line do on this control, those it does not know left out.
     *
     * @return list<array{code: Code, at: int, length: int}> with the byte each begins at, from 0, and the bytes it takes
     */
    public function codesIn(string $line): array
    {
        $codes = [];
        foreach (LineWords::codes($line) as ['letter' => $letter, 'tenths' => $tenths, 'at' => $at, 'length' => $length]) {
            $code = ($letter === 'G' ? $this->gCodes : $this->mCodes)[$tenths] ?? null;
            if ($code !== null) {
                $codes[] = ['code' => $code, 'at' => $at, 'length' => $length];
            }
        }

        return $codes;
    }

    /** The number a function has on this control, as written: G83. Null where it has none. */
    public function codeOf(Code $code): ?string
    {
        foreach (['G' => $this->gCodes, 'M' => $this->mCodes] as $letter => $table) {
            $number = array_search($code, $table, true);
            if ($number !== false) {
                return self::written($letter, $number);
            }
        }

        return null;
    }

    /** @param  int  $tenths number of a code in tenths */
    public static function written(string $letter, int $tenths): string
    {
        return $letter.($tenths % 10 === 0 ? (string) intdiv($tenths, 10) : sprintf('%.1F', $tenths / 10));
    }
}
