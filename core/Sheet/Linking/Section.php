<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Linking;

/** The lines of a program that one operation wrote at one work offset; those before all and after all have no operation. */
final readonly class Section
{
    /** What stands before the first operation, and after the last. */
    public const HEAD = 'head';

    public const END = 'end';

    /** @param  list<string>  $lines */
    public function __construct(public string $key, public array $lines)
    {
    }

    public static function keyOf(string $id, string $offset, int $time): string
    {
        return "{$id} {$offset} {$time}";
    }

    /** Whether it says the same as other lines, whatever their block numbers are. */
    public function says(self $other): bool
    {
        return $this->unnumbered() === $other->unnumbered();
    }

    /** The same lines, with the block number it has by now where a line still has the one it was written with. */
    public function renumbered(self $was, self $now): self
    {
        [$before, $after] = [self::numbers($was->lines), self::numbers($now->lines)];
        $lines = array_map(static function (string $line) use ($before, $after): string {
            $n = preg_match('/^N\d+/', $line, $number) === 1 ? array_search($number[0], $before, true) : false;

            return $n === false || ! isset($after[$n]) ? $line : (string) preg_replace('/^N\d+/', $after[$n], $line);
        }, $this->lines);

        return new self($this->key, $lines);
    }

    /**
     * @param  list<string>  $lines
     * @return list<string>
     */
    private static function numbers(array $lines): array
    {
        $numbers = [];
        foreach ($lines as $line) {
            if (preg_match('/^N\d+/', $line, $number) === 1) {
                $numbers[] = $number[0];
            }
        }

        return $numbers;
    }

    /** @return list<string> */
    private function unnumbered(): array
    {
        return array_map(static fn (string $line): string => (string) preg_replace('/^N\d+\s*/', '', rtrim($line)), $this->lines);
    }
}
