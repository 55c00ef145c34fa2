<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Language\LineReader;
use OakTrace\Core\Language\Program;

/** A program being run: the one that was started, or one it called. */
final class Frame
{
    /** @var list<array{int, int}> loops that are open: number of the DO, line of the WHILE */
    public array $loops = [];

    /** @var array<int, int> line of a jump back => count of parameter changes when it was last taken */
    public array $jumps = [];

    /** @var array<int, int> line of a jump back => how often it was taken */
    public array $turns = [];

    /** @var list<mixed> what the run before this one left: rows, parameter changes, what was in force */
    public array $left = [];

    /**
     * @param  int  $place  what to add to a line to have its place in the library
     * @param  int  $first  line the program begins at
     * @param  bool  $isMacro  whether it has locals of its own
     * @param  int  $repeats  runs still to come after this one
     * @param  int|null  $start  line a run begins at, where that is not the first
     */
    public function __construct(
        public readonly Program $program,
        public readonly LineReader $reader,
        public readonly int $place = 0,
        public readonly int $first = 1,
        public readonly int $last = PHP_INT_MAX,
        public readonly bool $isMacro = false,
        public int $repeats = 0,
        public readonly ?int $start = null,
    ) {
    }
}
