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

    /** @var list<string>|null the lines as given; made on first use by code that shows text */
    private ?array $lines = null;

    private function __construct(public readonly string $text, public readonly ?string $name)
    {
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
     * The lines made ready for reading: upper case, blanks and returns taken out.
     *
     * @return iterable<int, string> line number => text
     */
    public function prepared(): iterable
    {
        $length = strlen($this->text);
        $line = 0;

        for ($at = 0; $at < $length; $at = $end) {
            $end = min($length, $at + self::PORTION);
            $break = $end < $length ? strpos($this->text, "\n", $end) : false;
            $end = $break === false ? $length : $break + 1;
            $lines = explode("\n", self::prepare(substr($this->text, $at, $end - $at)));
            if ($break !== false || str_ends_with($this->text, "\n")) {
                array_pop($lines); // what stands after the last line break is no line
            }
            foreach ($lines as $text) {
                yield ++$line => $text;
            }
        }
    }

    /** What prepared() does to a text: upper case, no blanks. */
    public static function prepare(string $text): string
    {
        return str_replace([' ', "\t", "\r"], '', strtoupper($text));
    }

    /** The line as given, without its line break; empty past the end. */
    public function line(int $number): string
    {
        $this->lines ??= explode("\n", str_replace("\r", '', $this->text));

        return $this->lines[$number - 1] ?? '';
    }

    public function lineCount(): int
    {
        return substr_count($this->text, "\n") + (str_ends_with($this->text, "\n") || $this->text === '' ? 0 : 1);
    }
}
