<?php

declare(strict_types=1);

namespace OakTrace\Core\Language;

/** A reading head over the prepared lines of a program: goes forward a portion at a time and can be set to any line. */
final class LineReader
{
    /** Line that was read last, from 1. */
    public int $line = 0;

    /** @var list<string> */
    private array $lines = [];

    /**
     * The lines of the portion that are nothing but places, centres and a feed (BlockReader::PLAIN): of each, by its place in the
     * portion, the letters of its words.
     *
     * @var array<int, string>
     */
    public array $letters = [];

    /** @var array<int, int> of each of them the place of its first number in; the others follow it */
    public array $firsts = [];

    /** @var list<string> as they stand in the text */
    public array $numbers = [];

    /** Line before the first of the portion. */
    private int $before = 0;

    /** Byte at which the portion ends. */
    private int $end = 0;

    /** @var array<int, int> first byte of each portion met => line before it */
    private array $portions = [0 => 0];

    private int $at = 0;

    private int $count = 0;

    /** @param  int  $last  line after which the tape ends */
    public function __construct(private readonly Program $program, private readonly int $last = PHP_INT_MAX)
    {
    }

    /**
     * The lines are not written along: whoever goes on has a tape of the text as it is now.
     *
     * @return array{program: Program, last: int}
     */
    public function __serialize(): array
    {
        return ['program' => $this->program, 'last' => $this->last];
    }

    /** @param  array{program: Program, last: int}  $data */
    public function __unserialize(array $data): void
    {
        $this->program = $data['program'];
        $this->last = $data['last'];
    }

    /**
     * A tape that goes on behind a line.
     *
     * @param  array{int, int}  $section  what portionOf() gave for that line
     */
    public static function behind(Program $program, int $line, array $section): self
    {
        $reader = new self($program);
        $reader->portions[$section[0]] = $section[1];
        $reader->seek($line + 1);

        return $reader;
    }

    /** @return array{int, int} byte at which the portion with the line read last begins, and the line before it */
    public function portionOf(): array
    {
        return [(int) array_search($this->before, $this->portions, true), $this->before];
    }

    /** The next line, or null at the end. */
    public function next(): ?string
    {
        if ($this->at === $this->count && ! $this->section()) {
            return null;
        }
        if ($this->line >= $this->last) {
            return null;
        }
        $this->line++;

        return $this->lines[$this->at++];
    }

    /** Place in the portion of the line that is read next. */
    public function at(): int
    {
        return $this->at;
    }

    /** Goes on over lines of this portion. */
    public function pass(int $lines): void
    {
        $this->at += $lines;
        $this->line += $lines;
    }

    /** Sets the head so that a line is read next. */
    public function seek(int $line): void
    {
        if ($line <= $this->before || $line > $this->before + $this->count) {
            $from = 0;
            foreach ($this->portions as $byte => $before) {
                if ($before < $line) {
                    $from = $byte;
                }
            }
            $this->end = $from;
            $this->before = $this->portions[$from];
            $this->at = $this->count = 0;
            while ($this->section() && $line > $this->before + $this->count) {
                $this->at = $this->count;
            }
        }
        $this->at = min($this->count, max(0, $line - $this->before - 1));
        $this->line = $this->before + $this->at;
    }

    /** Takes in the next portion. */
    private function section(): bool
    {
        $before = $this->before + $this->count;
        [$lines, $end] = $this->program->section($this->end);
        if ($lines === []) {
            return false;
        }
        $this->portions[$this->end] = $before;
        $this->before = $before;
        $this->lines = $lines;
        $this->takeApart(preg_grep(BlockReader::PLAIN, array_slice($lines, 0, max(0, $this->last - $before))) ?: []);
        $this->end = $end;
        $this->at = 0;
        $this->count = count($lines);

        return true;
    }

    /**
     * All plain lines in a few calls, since most of a long program is such.
     *
     * @param  array<int, string>  $plain
     */
    private function takeApart(array $plain): void
    {
        $this->letters = $this->firsts = $this->numbers = [];
        if ($plain === []) {
            return;
        }
        $text = implode("\n", $plain);
        $this->letters = array_combine(array_keys($plain), explode("\n", (string) preg_replace('/[-+.\d]+/', '', $text)));
        $this->numbers = explode(' ', str_replace('  ', ' ', ltrim(strtr($text, "NGXYZIJKF\n", '          '))));
        $first = 0;
        foreach ($this->letters as $place => $letters) {
            $this->firsts[$place] = $first;
            $first += strlen($letters);
        }
    }
}
