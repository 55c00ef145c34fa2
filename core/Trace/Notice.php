<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Quantities\Quantity;

/**
 * Something the reading noticed, before anyone judges it: which kind, where, and the figures that go with it.
 * The checks turn notices into findings.
 */
final readonly class Notice
{
    /** @param  array<string, Quantity|string|int>  $figures */
    public function __construct(
        public string $kind,
        public int $line,
        public int $column,
        public array $figures = [],
    ) {
    }

    /** A figure that is a word or a whole number, as text; empty where the notice has none of that name. */
    public function word(string $name): string
    {
        $figure = $this->figures[$name] ?? '';

        return $figure instanceof Quantity ? (string) $figure->value : (string) $figure;
    }
}
