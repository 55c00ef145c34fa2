<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use InvalidArgumentException;

/**
 * Named columns of numbers in bytes, and the one body they travel in: `OAKC`, the length of the head (u32), the head as JSON
 * padded with blanks, and then every column from a multiple of eight bytes on, so that a reader can lay arrays over them.
 * The head's `columns` says of each: type, first byte behind the head, count.
 */
final class PackedColumns
{
    private const MAGIC = 'OAKC';

    private const STEP = 8;

    /** @var array<string, ColumnType> */
    private array $types = [];

    /** @var array<string, string> */
    private array $bytes = [];

    /** A column that is there even where nothing is added to it. */
    public function open(string $name, ColumnType $type): void
    {
        $this->types[$name] = $type;
        $this->bytes[$name] ??= '';
    }

    /** @param  array<int, float|int>  $values  added to an open column */
    public function add(string $name, array $values): void
    {
        $this->bytes[$name] .= pack($this->types[$name]->format(), ...$values);
    }

    /**
     * A column's numbers; none of a name that is not there.
     *
     * @return list<float>|list<int>
     */
    public function numbers(string $name): array
    {
        $bytes = $this->bytes[$name] ?? '';

        /** @var list<float>|list<int> */
        return $bytes === '' ? [] : array_values((array) unpack($this->types[$name]->format(), $bytes));
    }

    /** Takes in the columns of another, each by a name that says whose it is. */
    public function include(self $other, string $prefix): void
    {
        foreach ($other->types as $name => $type) {
            $this->types[$prefix.$name] = $type;
            $this->bytes[$prefix.$name] = $other->bytes[$name];
        }
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_keys($this->types);
    }

    /** @param  array<string, mixed>  $head  what stands before the columns; its `columns` is filled in */
    public function body(array $head): string
    {
        $places = [];
        $at = 0;
        foreach ($this->types as $name => $type) {
            $length = strlen($this->bytes[$name]);
            $places[$name] = [$type->value, $at, intdiv($length, $type->size())];
            $at += $length + self::padding($length);
        }
        $json = json_encode([...$head, 'columns' => (object) $places], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        $start = strlen(self::MAGIC) + 4 + strlen($json);
        $parts = [self::MAGIC, pack('V', strlen($json) + self::padding($start)), $json, str_repeat(' ', self::padding($start))];
        foreach ($this->bytes as $bytes) {
            $parts[] = $bytes;
            $parts[] = str_repeat("\0", self::padding(strlen($bytes)));
        }

        return implode('', $parts);
    }

    /**
     * @return array{array<string, mixed>, self} the head and the columns of a body
     *
     * @throws InvalidArgumentException where it is no such body
     */
    public static function read(string $body): array
    {
        $length = str_starts_with($body, self::MAGIC) && strlen($body) >= 8 ? (int) (unpack('V', $body, 4)[1] ?? 0) : 0;
        $head = json_decode(substr($body, 8, $length), true);
        if (! is_array($head) || ! is_array($head['columns'] ?? null)) {
            throw new InvalidArgumentException('This is no body of packed columns.');
        }
        $columns = new self;
        /** @var array<string, array{string, int, int}> $places */
        $places = $head['columns'];
        foreach ($places as $name => [$type, $at, $count]) {
            $columns->open($name, ColumnType::from($type));
            $columns->bytes[$name] = substr($body, 8 + $length + $at, $count * ColumnType::from($type)->size());
        }

        return [$head, $columns];
    }

    private static function padding(int $length): int
    {
        return (self::STEP - $length % self::STEP) % self::STEP;
    }
}
