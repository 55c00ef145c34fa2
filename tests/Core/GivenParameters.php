<?php

declare(strict_types=1);

namespace Tests\Core;

use OakTrace\Core\Language\Expressions\Parameters;

/** Parameters with the values a test gives them. */
final readonly class GivenParameters implements Parameters
{
    /** @param  array<int|string, float>  $values  by number or name */
    public function __construct(private array $values)
    {
    }

    public function value(int|string $name): ?float
    {
        return $this->values[$name] ?? null;
    }
}
