<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

/** A place between two blocks of a reading, with everything in force there. */
final readonly class Checkpoint
{
    /**
     * @param  int  $line  read last
     * @param  array{int, int}  $section  byte the portion of the text with that line begins at, and the line before it
     * @param  int  $chunks  of the trace packed by then
     * @param  string  $state  the interpreter and its readers, serialized without text and chunks
     */
    public function __construct(public int $line, public array $section, public int $chunks, public string $state)
    {
    }
}
