<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;

/** Puts what a schema objects to into words, by field. */
final class SchemaErrors
{
    /** @return array<string, string> dotted field => what is wrong */
    public static function byField(ValidationError $error): array
    {
        $fields = [];
        foreach (self::leaves($error) as $leaf) {
            $path = implode('.', array_map(strval(...), $leaf->data()->fullPath()));
            [$path, $reason] = self::reason($leaf, $path);
            $fields[$path] ??= $reason;
        }

        return $fields;
    }

    /** @return iterable<ValidationError> the objections that are not made of others */
    private static function leaves(ValidationError $error): iterable
    {
        if ($error->subErrors() === []) {
            yield $error;

            return;
        }
        foreach ($error->subErrors() as $sub) {
            yield from self::leaves($sub);
        }
    }

    /** @return array{string, string} field and reason */
    private static function reason(ValidationError $error, string $path): array
    {
        $args = $error->args();
        $under = static fn (string $name): string => $path === '' ? $name : $path.'.'.$name;

        return match ($error->keyword()) {
            'required' => [$under((string) reset($args['missing'])), 'This field is missing.'],
            'additionalProperties' => [$under((string) reset($args['properties'])), 'There is no such field here.'],
            'pattern' => [$path, '“'.self::text($error->data()->value()).'” is not a valid name here.'],
            'enum' => [$path, 'Must be one of: '.self::allowed($error).'.'],
            'const' => [$path, 'Must be “'.self::text($error->args()['const'] ?? '').'”.'],
            'type' => [$path, 'Must be '.self::types($args['expected']).', not '.self::text($args['type']).'.'],
            'minimum' => [$path, 'Must be '.self::text($args['min']).' or more.'],
            'maximum' => [$path, 'Must be '.self::text($args['max']).' or less.'],
            'minItems', 'maxItems' => [$path, 'Has the wrong number of entries.'],
            'maxLength' => [$path, 'Is longer than '.self::text($args['max']).' characters.'],
            default => [$path, (new ErrorFormatter)->formatErrorMessage($error)],
        };
    }

    private static function allowed(ValidationError $error): string
    {
        $schema = $error->schema()->info()->data();
        $values = is_object($schema) && isset($schema->enum) && is_array($schema->enum) ? $schema->enum : [];

        return implode(', ', array_map(self::text(...), $values));
    }

    /** @param  string|list<string>  $types */
    private static function types(string|array $types): string
    {
        $names = [
            'object' => 'a group of fields', 'array' => 'a list', 'number' => 'a number', 'integer' => 'a whole number', 'string' => 'text',
            'boolean' => 'true or false',
        ];

        return implode(' or ', array_map(static fn (string $type): string => $names[$type] ?? $type, (array) $types));
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : (string) json_encode($value);
    }
}
