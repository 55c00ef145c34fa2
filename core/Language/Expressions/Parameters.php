<?php

declare(strict_types=1);

namespace OakTrace\Core\Language\Expressions;

/** Where an expression reads the values of parameters. */
interface Parameters
{
    /** @param  int|string  $name  number, or name in small letters; null where the parameter has no value */
    public function value(int|string $name): ?float;
}
