<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** A program written from a sheet, with the lines that belong to each operation. */
final readonly class BuiltProgram
{
    /**
     * @param  list<string>  $lines
     * @param  list<array{id: string, offset: string, lines: array{int, int}}>  $operations  in the order of the run; first and last line, from 1
     */
    public function __construct(public array $lines, public array $operations)
    {
    }

    public function text(): string
    {
        return implode("\n", $this->lines)."\n";
    }
}
