<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\LineWords;

/** A word as it stands in the text, with its place. */
final readonly class PlacedWord
{
    private function __construct(
        public int $line,
        public int $column,
        /** Column its number begins at. */
        public int $numberColumn,
        public string $letter,
        public string $number,
    ) {
    }

    /** The first word with the letter in a line as given, comments left out. */
    public static function find(string $text, int $line, string $letter): ?self
    {
        foreach (LineWords::plain($text) as $word) {
            if ($word['letter'] === $letter) {
                return new self($line, $word['from'] + 1, $word['at'] + 1, $letter, $word['number']);
            }
        }

        return null;
    }

    /** Whether the word with the letter in a line is an expression or a parameter, so that no number stands there. */
    public static function isReckoned(string $text, string $letter): bool
    {
        return LineWords::isReckoned($text, $letter);
    }

    public function value(): float
    {
        return (float) $this->number;
    }

    public function hasPoint(): bool
    {
        return str_contains($this->number, '.');
    }

    /**
     * The number with its point moved to the left, in the same hand: sign kept, a point always there.
     */
    public function movedPoint(int $places): string
    {
        $text = rtrim(sprintf('%.6F', $this->value() / 10 ** $places), '0');

        return $text === '-0.' ? '0.' : $text;
    }

    /** The number with the other sign, in the same hand. */
    public function otherSign(): string
    {
        return str_starts_with($this->number, '-') ? substr($this->number, 1) : '-'.ltrim($this->number, '+');
    }

    /** The change that writes another number in its place. */
    public function replacedBy(string $number): Edit
    {
        return new Edit($this->line, $this->numberColumn, strlen($this->number), $number, 'Put '.$this->letter.$number);
    }
}
