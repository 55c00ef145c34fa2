<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Quantities\Units;
use ReflectionClass;

/**
 * Fields of a file that belong together, as one list for both ways: a field that is read is written. Each is named as the
 * parameter of the value's constructor, whose default stands where the file is silent, and is not written.
 *
 * @template Value of object
 */
final readonly class FieldGroup
{
    /**
     * @param  class-string<Value>  $class
     * @param  array<string, FieldUnit>  $fields  by name
     */
    public function __construct(private string $class, private array $fields)
    {
    }

    /**
     * @param  array<string, mixed>  $file
     * @return Value
     */
    public function read(array $file, Units $units): object
    {
        $given = [];
        foreach ($this->fields as $name => $unit) {
            if (isset($file[$name])) {
                $given[$name] = self::convert($file[$name], static fn (int|float $value): float => $value * $unit->factor($units), $unit);
            }
        }

        return new $this->class(...$given);
    }

    /**
     * @param  Value  $value
     * @return array<string, mixed>
     */
    public function write(object $value, Units $units): array
    {
        $file = [];
        foreach ((new ReflectionClass($this->class))->getConstructor()?->getParameters() ?? [] as $parameter) {
            $name = $parameter->getName();
            $held = $value->$name;
            $unit = $this->fields[$name] ?? null;
            if ($unit !== null && $held !== null && ! ($parameter->isDefaultValueAvailable() && $parameter->getDefaultValue() === $held)) {
                $file[$name] = self::convert($held, static fn (int|float $number): float => round($number / $unit->factor($units), 9) + 0.0, $unit);
            }
        }

        return $file;
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_keys($this->fields);
    }

    /** @param  callable(int|float): float  $by */
    private static function convert(mixed $value, callable $by, FieldUnit $unit): mixed
    {
        if ($unit === FieldUnit::Plain) {
            return $value;
        }

        return is_array($value) ? array_map(
            static fn (mixed $part): mixed => self::convert($part, $by, $unit), $value,
        ) : (is_int($value) || is_float($value) ? $by($value) : $value);
    }
}
