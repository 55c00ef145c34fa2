<?php

declare(strict_types=1);

namespace OakTrace\Core\Language\Expressions;

use DomainException;

/** An expression that has no value: a division by zero, a root of a negative number. Never leaves the reading. */
final class ArithmeticProblem extends DomainException
{
}
