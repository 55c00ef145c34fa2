<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use LogicException;

/**
 * A group of fields of a file, each asked for as what it is. The schema has looked at the file: where a field is something else after
 * all, that is a mistake of this program and not of the file.
 */
final readonly class FileEntry
{
    /** @param  array<array-key, mixed>  $values */
    public function __construct(public array $values)
    {
    }

    /** Whether it is there, and not null. */
    public function has(string $name): bool
    {
        return isset($this->values[$name]);
    }

    public function float(string $name, ?float $default = null): float
    {
        return $this->maybeFloat($name) ?? $default ?? self::refuse($name, 'a number');
    }

    public function maybeFloat(string $name): ?float
    {
        $value = $this->values[$name] ?? null;

        return match (true) {
            $value === null => null,
            is_int($value), is_float($value) => (float) $value,
            default => self::refuse($name, 'a number'),
        };
    }

    public function int(string $name): int
    {
        $value = $this->values[$name] ?? null;

        return is_int($value) ? $value : self::refuse($name, 'a whole number');
    }

    public function bool(string $name): bool
    {
        $value = $this->values[$name] ?? false;

        return is_bool($value) ? $value : self::refuse($name, 'true or false');
    }

    public function string(string $name, ?string $default = null): string
    {
        return $this->maybeString($name) ?? $default ?? self::refuse($name, 'a text');
    }

    public function maybeString(string $name): ?string
    {
        $value = $this->values[$name] ?? null;

        return $value === null || is_string($value) ? $value : self::refuse($name, 'a text');
    }

    /** Empty where it is not there. */
    public function entry(string $name): self
    {
        $value = $this->values[$name] ?? [];

        return is_array($value) ? new self($value) : self::refuse($name, 'a group of fields');
    }

    /** @return array<array-key, self> of a list, or of a group by name; empty where it is not there */
    public function entries(string $name): array
    {
        $entries = [];
        foreach ($this->entry($name)->values as $key => $value) {
            $entries[$key] = is_array($value) ? new self($value) : self::refuse("{$name}.{$key}", 'a group of fields');
        }

        return $entries;
    }

    /** @return array<array-key, float> */
    public function floats(string $name): array
    {
        $entry = $this->entry($name);
        $floats = [];
        foreach (array_keys($entry->values) as $key) {
            $floats[$key] = $entry->float((string) $key);
        }

        return $floats;
    }

    /** @return array{float, float, float} */
    public function place(string $name): array
    {
        $place = $this->entry($name);

        return [$place->float('0'), $place->float('1'), $place->float('2')];
    }

    /** @return array<string, string> */
    public function strings(string $name): array
    {
        $entry = $this->entry($name);
        $strings = [];
        foreach (array_keys($entry->values) as $key) {
            $strings[(string) $key] = $entry->string((string) $key);
        }

        return $strings;
    }

    /** @return array<string, mixed> as it stands in the file */
    public function source(): array
    {
        $source = [];
        foreach ($this->values as $name => $value) {
            $source[(string) $name] = $value;
        }

        return $source;
    }

    private static function refuse(string $name, string $what): never
    {
        throw new LogicException("The schema let a {$name} through that is not {$what}.");
    }
}
