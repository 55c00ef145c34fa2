<?php

declare(strict_types=1);

namespace OakTrace\Core\Language\Expressions;

use DomainException;

/** A text that is no expression or statement, at an offset of the prepared text. Never leaves the reading. */
final class SyntaxProblem extends DomainException
{
    public function __construct(string $why, public readonly int $offset)
    {
        parent::__construct($why);
    }
}
