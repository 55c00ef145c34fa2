<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

use InvalidArgumentException;

/** A table of codes names a function there is none of, or gives it something that is no code. */
final class UnknownFunction extends InvalidArgumentException
{
    /** @param  string  $entry  of the table */
    public function __construct(public readonly string $entry)
    {
        parent::__construct("No function of the name {$entry} can have that code.");
    }
}
