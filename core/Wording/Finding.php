<?php

declare(strict_types=1);

namespace OakTrace\Core\Wording;

use OakTrace\Core\Language\Edit;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\LoweredSeverity;

/**
 * One thing the checks say. The text and the remedy are patterns with {names} of figures in them; Wording makes
 * sentences of them in the unit that is wanted.
 */
final readonly class Finding
{
    /** @var list<int> further lines with the same cause */
    public array $alsoAt;

    /**
     * @param  array<string, Quantity|string|int>  $figures
     * @param  list<int>  $alsoAt  lines with the same cause, its own among them or not; the further ones are kept, each once
     * @param  string|null  $field  the setup's field the remedy is about, dotted: workOffsets.G54.Y
     */
    public function __construct(
        public string $check,
        public Severity $severity,
        public int $line,
        public int $column,
        public string $text,
        public array $figures = [],
        public string $remedy = '',
        array $alsoAt = [],
        public ?Edit $edit = null,
        public ?string $field = null,
        public ?LoweredSeverity $lowered = null,
    ) {
        $this->alsoAt = array_values(array_unique(array_diff($alsoAt, [$line])));
    }

    /** The same as a note, since the shop has decided so. */
    public function lowered(LoweredSeverity $lowered): self
    {
        return new self(
            $this->check, Severity::Note, $this->line, $this->column, $this->text, $this->figures, $this->remedy, $this->alsoAt, $this->edit,
            $this->field, $lowered,
        );
    }

    /** The same with so many others that follow from it. */
    public function with(int $others): self
    {
        $words = $others === 1 ? ' One more finding follows from this and is not listed.' : ' {follow} more findings follow from this and are not listed.';

        return $this->retold($this->text.$words, ['follow' => $others]);
    }

    /**
     * The same with more figures.
     *
     * @param  array<string, Quantity|string|int>  $figures
     */
    public function withFigures(array $figures): self
    {
        return $this->retold($this->text, $figures);
    }

    /** The same with its change of text taken back: words only. */
    public function withoutEdit(): self
    {
        return $this->edit === null ? $this : $this->at($this->line, $this->alsoAt, $this->figures);
    }

    /**
     * The same about the text this one's was made from.
     *
     * @param  list<int>  $lines  of each line of its text, from the first, the line it was made from
     */
    public function fromLines(array $lines): self
    {
        $line = static fn (int $of): int => $lines[$of - 1] ?? 0;
        $figures = $this->figures;
        $furthest = $figures['furthestLine'] ?? null;
        if (is_string($furthest) || is_int($furthest)) {
            $figures['furthestLine'] = $line((int) $furthest);
        }

        return $this->at($line($this->line), array_values(array_unique(array_map($line, $this->alsoAt))), $figures);
    }

    /** @param  array<string, Quantity|string|int>  $figures  more of them */
    private function retold(string $text, array $figures): self
    {
        return new self(
            $this->check, $this->severity, $this->line, $this->column, $text, $this->figures + $figures, $this->remedy, $this->alsoAt, $this->edit,
            $this->field, $this->lowered,
        );
    }

    /**
     * Elsewhere, and so without its change of text.
     *
     * @param  list<int>  $alsoAt
     * @param  array<string, Quantity|string|int>  $figures
     */
    private function at(int $line, array $alsoAt, array $figures): self
    {
        return new self(
            $this->check, $this->severity, $line, $this->column, $this->text, $figures, $this->remedy, $alsoAt, null, $this->field, $this->lowered,
        );
    }
}
