<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** A thread the drawing wants: what its sizes are looked for with. */
final readonly class ThreadShape implements SizeShape
{
    public function __construct(public bool $isBore, public int $starts)
    {
    }
}
