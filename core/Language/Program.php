<?php

declare(strict_types=1);

namespace OakTrace\Core\Language;

/**
 * The text of a program as given. Lines count from 1 and are read in portions, so that a long program never stands in
 * memory a second time.
 */
final class Program
{
    private const PORTION = 65536;

    /** Lines up to this one are found by going down to them. */
    private const NEAR = 100;

    /** @var list<string>|null the lines as given; made on first use by code that shows text */
    private ?array $lines = null;

    /** @var array<int, list<int>>|null */
    private ?array $blockLines = null;

    /** @var list<array{int, int}>|null */
    private ?array $loopEnds = null;

    private function __construct(public readonly string $text, public readonly ?string $name)
    {
    }

    /**
     * The text is not written along: whoever goes on from a kept reading has the text as it is now.
     *
     * @return array{name: string|null}
     */
    public function __serialize(): array
    {
        return ['name' => $this->name];
    }

    /** @param  array{name: string|null}  $data */
    public function __unserialize(array $data): void
    {
        $this->text = '';
        $this->name = $data['name'];
    }

    public static function fromText(string $text, ?string $name = null): self
    {
        if (str_starts_with($text, "\u{FEFF}")) {
            $text = substr($text, 3); // a byte order mark is no part of the program
        }
        if (! str_contains($text, "\n")) {
            $text = str_replace("\r", "\n", $text); // some senders end lines with a return alone
        }

        return new self($text, $name);
    }

    /**
     * The prepared lines from a byte on, as many as stand in about PORTION bytes.
     *
     * @return array{list<string>, int} the lines, none at the end; and the byte the next portion begins at
     */
    public function section(int $at): array
    {
        $length = strlen($this->text);
        if ($at >= $length) {
            return [[], $at];
        }
        $end = min($length, $at + self::PORTION);
        $break = $end < $length ? strpos($this->text, "\n", $end) : false;
        $end = $break === false ? $length : $break + 1;
        $lines = explode("\n", self::prepare(substr($this->text, $at, $end - $at)));
        if ($break !== false || str_ends_with($this->text, "\n")) {
            array_pop($lines); // what stands after the last line break is no line
        }

        return [$lines, $end];
    }

    /** @return list<array{int, int}> number and line of every program number (O or :) in the text */
    public function programNumbers(): array
    {
        return $this->marked('[O:]');
    }

    /** @return list<int> the lines with a block number (N) */
    public function linesOfBlock(int $number): array
    {
        if ($this->blockLines === null) {
            $this->blockLines = [];
            foreach ($this->marked('N') as [$name, $line]) {
                $this->blockLines[$name][] = $line;
            }
        }

        return $this->blockLines[$number] ?? [];
    }

    /** @return list<array{int, int}> number and line of every end of a loop */
    public function loopEnds(): array
    {
        return $this->loopEnds ??= $this->marked('END');
    }

    /** What reading does to a text first: upper case, no blanks. */
    public static function prepare(string $text): string
    {
        return str_replace([' ', "\t", "\r"], '', strtoupper($text));
    }

    /** The line as given, without its line break; empty past the end. */
    public function line(int $number): string
    {
        if ($this->lines === null && $number <= self::NEAR) {
            return $this->nearLine($number);
        }
        $this->lines ??= explode("\n", str_replace("\r", '', $this->text));

        return $this->lines[$number - 1] ?? '';
    }

    /** A line near the top, for which a long text need not be taken apart. */
    private function nearLine(int $number): string
    {
        $from = 0;
        for ($line = 1; $line < $number; $line++) {
            $break = strpos($this->text, "\n", $from);
            if ($break === false) {
                return '';
            }
            $from = $break + 1;
        }
        $end = strpos($this->text, "\n", $from);

        return str_replace("\r", '', substr($this->text, $from, ($end === false ? strlen($this->text) : $end) - $from));
    }

    public function lineCount(): int
    {
        return substr_count($this->text, "\n") + (str_ends_with($this->text, "\n") || $this->text === '' ? 0 : 1);
    }

    /** @return list<array{int, int}> */
    private function marked(string $letter): array
    {
        preg_match_all('/^[ \t]*(?:\/[1-9]?[ \t]*)?(?:N[ \t]*\d+[ \t]*(?=[OE]))?'.$letter.'[ \t]*(\d{1,9})/mi', $this->text, $match, PREG_OFFSET_CAPTURE);
        $numbers = [];
        $line = 1;
        $seen = 0;
        foreach ($match[1] as [$number, $offset]) {
            $line += substr_count($this->text, "\n", $seen, $offset - $seen);
            $seen = $offset;
            $numbers[] = [(int) $number, $line];
        }

        return $numbers;
    }
}
