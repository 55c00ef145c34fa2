<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

/** Something a change of text wants to know: a number, or one of some choices. */
final readonly class Field
{
    /** @param  array<string, string>  $choices  value => words; none where it is a number */
    private function __construct(public string $name, public string $label, public string|float|null $default, public array $choices, public bool $isOptional)
    {
    }

    public static function number(string $name, string $label, ?float $default = null, bool $isOptional = false): self
    {
        return new self($name, $label, $default, [], $isOptional);
    }

    /** @param  non-empty-array<string, string>  $choices  the first is chosen where nothing is said */
    public static function choice(string $name, string $label, array $choices): self
    {
        return new self($name, $label, (string) array_key_first($choices), $choices, false);
    }

    /**
     * @param  array<string, mixed>  $given
     *
     * @throws TransformProblem
     */
    public function read(array $given): string|float|null
    {
        $value = $given[$this->name] ?? $this->default;
        if ($this->choices !== []) {
            return is_string($value) && isset($this->choices[$value]) ? $value : throw new TransformProblem(
                $this->label.' must be one of: '.implode(', ', $this->choices).'.',
            );
        }
        if ($value === null || $value === '') {
            return $this->isOptional ? null : throw new TransformProblem($this->label.' needs a number.');
        }

        return is_numeric($value) && is_finite((float) $value) ? (float) $value : throw new TransformProblem($this->label.' needs a number.');
    }
}
