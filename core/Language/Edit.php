<?php

declare(strict_types=1);

namespace OakTrace\Core\Language;

/**
 * A change of the program's text that would mend a finding: in a line, the characters from a column on. A text with line
 * breaks in it makes lines.
 */
final readonly class Edit
{
    /** @param  list<self>  $also  further changes that belong to it, in other places */
    public function __construct(
        public int $line,
        public int $column,
        public int $length,
        public string $text,
        public string $label,
        public array $also = [],
    ) {
    }

    /** The same with further changes made along with it. */
    public function and(?self ...$others): self
    {
        return new self($this->line, $this->column, $this->length, $this->text, $this->label, [...$this->also, ...array_values(array_filter($others))]);
    }

    /** The text with it and what belongs to it made. */
    public function in(string $text): string
    {
        $lines = explode("\n", $text);
        $edits = [$this, ...$this->also];
        // From the end, so that a change does not move the place of another.
        usort($edits, static fn (self $a, self $b): int => [$b->line, $b->column] <=> [$a->line, $a->column]);
        foreach ($edits as $change) {
            $number = SourceMap::lineNumber($change->line) - 1;
            $lines[$number] = substr_replace($lines[$number] ?? '', $change->text, $change->column - 1, $change->length);
        }

        return implode("\n", $lines);
    }

    public function labelled(string $label): self
    {
        return new self($this->line, $this->column, $this->length, $this->text, $label, $this->also);
    }
}
