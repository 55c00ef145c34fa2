<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff;

use OakTrace\Core\Quantities\Quantity;
use RuntimeException;

/** A reading that cannot be, with its place; nothing comes of it. */
final class ReadingProblem extends RuntimeException
{
    /** @param  array<string, Quantity|string|int>  $figures  of the pattern */
    private function __construct(public readonly string $reading, public readonly string $text, public readonly array $figures)
    {
        parent::__construct($text);
    }

    /** @param  array<string, Quantity|string|int>  $figures */
    public static function at(string $reading, string $text, array $figures = []): self
    {
        return new self($reading, $text, $figures);
    }
}
