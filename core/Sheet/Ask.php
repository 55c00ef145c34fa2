<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** One question of an operation: the field its answer stands in, and what it is. */
final readonly class Ask
{
    /**
     * @param  list<string>  $choices  the usual one first
     * @param  list<self>  $parts  of a group
     * @param  array{string, list<string>}|null  $when  it is only asked where another field beside it has one of these values
     * @param  bool  $isCutting  about how it is cut, which the drawing does not say and which has an answer of its own
     * @param  bool  $isRare  seldom wanted: it need not stand among the others
     * @param  bool  $isKept  answered as the last time with the same tool where nobody answers
     */
    private function __construct(
        public string $field,
        public string $words,
        public AskKind $kind,
        public array $choices = [],
        public array $parts = [],
        public ?array $when = null,
        public bool $isCutting = false,
        public bool $isKept = false,
        public bool $isRare = false,
    ) {
    }

    public static function length(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Length);
    }

    public static function angle(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Angle);
    }

    public static function share(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Share);
    }

    public static function seconds(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Seconds);
    }

    public static function count(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Count);
    }

    public static function flag(string $field, string $words, bool $usually = false): self
    {
        return new self($field, $words, AskKind::Flag, $usually ? ['true', 'false'] : ['false', 'true']);
    }

    /** @param  non-empty-list<string>  $choices  the usual one first */
    public static function choice(string $field, string $words, array $choices): self
    {
        return new self($field, $words, AskKind::Choice, $choices);
    }

    public static function point(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Point);
    }

    public static function points(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Points);
    }

    public static function numbers(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Numbers);
    }

    public static function size(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Size);
    }

    public static function text(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Text);
    }

    /** Another operation of the sheet, by its id. */
    public static function operation(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Operation);
    }

    public static function operations(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Operations);
    }

    /** @param  list<self>  $parts */
    public static function group(string $field, string $words, array $parts): self
    {
        return new self($field, $words, AskKind::Group, parts: $parts);
    }

    /** Only asked where another field beside it has one of some values. */
    public function when(string $field, string ...$values): self
    {
        return new self(
            $this->field, $this->words, $this->kind, $this->choices, $this->parts, [$field, array_values($values)], $this->isCutting, $this->isKept,
            $this->isRare,
        );
    }

    /** About how it is cut: has an answer of its own, by default that of the last time with the same tool. */
    public function cutting(bool $isKept = true): self
    {
        return new self($this->field, $this->words, $this->kind, $this->choices, $this->parts, $this->when, true, $isKept, $this->isRare);
    }

    /** Seldom wanted. */
    public function rare(): self
    {
        return new self($this->field, $this->words, $this->kind, $this->choices, $this->parts, $this->when, $this->isCutting, $this->isKept, true);
    }
}
