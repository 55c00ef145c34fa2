<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** One question of an operation: the field its answer stands in, and what it is. */
final readonly class Ask
{
    /** @param  list<string>  $choices */
    private function __construct(public string $field, public string $words, public AskKind $kind, public array $choices = [])
    {
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

    public static function flag(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Flag);
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

    public static function size(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Size);
    }

    public static function text(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Text);
    }

    public static function group(string $field, string $words): self
    {
        return new self($field, $words, AskKind::Group);
    }
}
