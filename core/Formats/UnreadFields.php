<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

/**
 * Fields of a file that its schema does not have. They are kept, and nothing reads them: a limit with a slip in its name holds nothing back.
 * A name that does not begin with a letter is a remark, and is left alone.
 */
final class UnreadFields
{
    /** A name that differs in no more letters is a slip of another, a short one in no more than a third of them. */
    private const SLIP = 2;

    /** So many are named. */
    private const MOST = 10;

    /** @var list<string> */
    private array $told = [];

    private function __construct(private readonly object $schema)
    {
    }

    /**
     * @param  mixed  $data  a file, decoded
     * @return list<string> a sentence for each, and one for those that are too many
     */
    public static function of(mixed $data, object $schema): array
    {
        $fields = new self($schema);
        $fields->look($data, [$schema], '');

        $more = count($fields->told) - self::MOST;

        return $more <= 0 ? $fields->told : [...array_slice($fields->told, 0, self::MOST), "Nothing reads {$more} more."];
    }

    /** @param  list<mixed>  $schemas  of what may stand here */
    private function look(mixed $data, array $schemas, string $path): void
    {
        $schemas = $this->resolved($schemas);
        if (is_array($data)) {
            $items = array_column($schemas, 'items');
            foreach ($items === [] ? [] : $data as $n => $entry) {
                $this->look($entry, $items, "{$path}{$n}.");
            }
        }
        if (! is_object($data)) {
            return;
        }
        $fields = $patterns = [];
        foreach ($schemas as $schema) {
            $fields += get_object_vars($schema->properties ?? (object) []);
            $patterns += get_object_vars($schema->patternProperties ?? (object) []);
        }
        $others = array_filter(array_column($schemas, 'additionalProperties'), is_object(...));
        $isOpen = $fields === [] && $patterns === [];
        foreach (get_object_vars($data) as $name => $value) {
            $name = (string) $name;
            $found = isset($fields[$name]) ? [$fields[$name]] : self::matching($patterns, $name);
            $found = $found === [] ? array_values($others) : $found;
            if ($found !== []) {
                $this->look($value, $found, "{$path}{$name}.");
            } elseif (! $isOpen && ctype_alpha($name[0] ?? '')) {
                $meant = self::meant($name, array_keys(array_diff_key($fields, (array) $data)));
                $this->told[] = "{$path}{$name}: There is no such field, and nothing reads it.{$meant}";
            }
        }
    }

    /**
     * With what they refer to, and what each is one of.
     *
     * @param  list<mixed>  $schemas
     * @return list<object>
     */
    private function resolved(array $schemas): array
    {
        $found = [];
        while (($schema = array_shift($schemas)) !== null) {
            if (! is_object($schema)) {
                continue;
            }
            $found[] = $schema;
            if (isset($schema->{'$ref'})) {
                $schemas[] = get_object_vars($this->schema)['$defs']->{basename($schema->{'$ref'})};
            }
            array_push($schemas, ...($schema->oneOf ?? []), ...($schema->anyOf ?? []));
        }

        return $found;
    }

    /**
     * @param  array<string, mixed>  $patterns
     * @return list<mixed>
     */
    private static function matching(array $patterns, string $name): array
    {
        return array_values(array_filter($patterns, static fn (string $pattern): bool => preg_match("/{$pattern}/", $name) === 1, ARRAY_FILTER_USE_KEY));
    }

    /** @param  list<string>  $fields  that could stand there too */
    private static function meant(string $name, array $fields): string
    {
        $away = array_filter(
            array_combine($fields, array_map(static fn (string $field): int => levenshtein(strtolower($name), strtolower($field)), $fields)),
            static fn (int $letters): bool => $letters <= min(self::SLIP, intdiv(strlen($name), 3)),
        );
        asort($away);

        return $away === [] ? '' : ' Is '.array_key_first($away).' meant?';
    }
}
