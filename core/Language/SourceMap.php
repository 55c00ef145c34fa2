<?php

declare(strict_types=1);

namespace OakTrace\Core\Language;

/**
 * The texts one run reads: the program and what it calls. A place is a whole number that stands for a line of a text under
 * the call it is run by: in the program itself it is the line, counted from 1; inside a call the number of the call stands
 * above it.
 */
final class SourceMap
{
    private const LINE_BITS = 32;

    private const LINE = (1 << self::LINE_BITS) - 1;

    /** @var list<array{program: string, text: Program, from: int, first: int}> calls by number less one */
    private array $calls = [];

    /** @var array<string, int> name and calling place => number of the call */
    private array $numbers = [];

    /** @var list<array{string, Program}> every other text called so far, by the name it was called by first */
    private array $others = [];

    /** Lines of the texts so far; counted when they are first asked for. */
    private ?int $lines = null;

    public function __construct(public Program $main)
    {
    }

    /** @return int lines of all the texts that were run so far */
    public function lineCount(): int
    {
        return $this->lines ??= array_sum(array_map(static fn (Program $text): int => $text->lineCount(), [$this->main, ...array_column($this->others, 1)]));
    }

    /**
     * @param  int  $from  place of the calling block
     * @param  Program  $text  the text the called program stands in; the main program's own where it is in the same file
     * @param  int  $first  line the called program begins at
     * @return int what to add to a line of that text to have its place
     */
    public function call(string $program, Program $text, int $from, int $first): int
    {
        $key = $program.'@'.$from;
        if (! isset($this->numbers[$key])) {
            $this->calls[] = ['program' => $program, 'text' => $text, 'from' => $from, 'first' => $first];
            $this->numbers[$key] = count($this->calls);
            if ($text !== $this->main && ! in_array($text, array_column($this->others, 1), true)) {
                $this->others[] = [$program, $text];
                $this->lines = null;
            }
        }

        return $this->numbers[$key] << self::LINE_BITS;
    }

    /** The line's number in its text. */
    public static function lineNumber(int $place): int
    {
        return $place & self::LINE;
    }

    /** The line as given. */
    public function text(int $place): string
    {
        $call = $this->calls[($place >> self::LINE_BITS) - 1] ?? null;

        return ($call['text'] ?? $this->main)->line(self::lineNumber($place));
    }

    /** The text a place is in. */
    public function textOf(int $place): Program
    {
        return $this->calls[($place >> self::LINE_BITS) - 1]['text'] ?? $this->main;
    }

    /** Name of the called program a place is in; null in the program itself. */
    public function program(int $place): ?string
    {
        return $this->calls[($place >> self::LINE_BITS) - 1]['program'] ?? null;
    }

    /** The line the called program begins at that a place is in; null in the program itself. */
    public function first(int $place): ?int
    {
        return $this->calls[($place >> self::LINE_BITS) - 1]['first'] ?? null;
    }

    /** Place of the block that called; null in the program itself. */
    public function from(int $place): ?int
    {
        return $this->calls[($place >> self::LINE_BITS) - 1]['from'] ?? null;
    }

    /**
     * The line of a text that stands for a place: its own where it is in that text, or that of the call it came from; null
     * where neither it nor any of its callers is in that text.
     */
    public function lineIn(Program $text, int $place): ?int
    {
        for ($at = $place; $at !== null; $at = $this->from($at)) {
            $call = $this->calls[($at >> self::LINE_BITS) - 1] ?? null;
            if (($call['text'] ?? $this->main) === $text) {
                return self::lineNumber($at);
            }
        }

        return null;
    }

    /** @return list<array{string, Program}> every other text that was run so far, by the name it was called by first */
    public function others(): array
    {
        return $this->others;
    }

    /** The place before one: the line above it, or the block that called the program it begins; 0 before the first. */
    public function before(int $place): int
    {
        $call = $this->calls[($place >> self::LINE_BITS) - 1] ?? null;

        return $call !== null && self::lineNumber($place) <= $call['first'] ? $call['from'] : $place - 1;
    }

    /** Whether the place is in the text of the program, which is the one a reader has before them. */
    public function isInMain(int $place): bool
    {
        $call = $this->calls[($place >> self::LINE_BITS) - 1] ?? null;

        return $call === null || $call['text'] === $this->main;
    }

    /** The line of the program's own text that stands for a place: its own, or that of the call it came from. */
    public function mainLine(int $place): int
    {
        return $this->lineIn($this->main, $place) ?? 0;
    }

    /** A place in words: 12, or 5 of O2000. */
    public function words(int $place): string
    {
        $program = $this->program($place);

        return self::lineNumber($place).($program === null ? '' : ' of '.$program);
    }
}
