<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** A groove of a turned part: in its outside or in its bore. */
final readonly class GrooveShape implements SizeShape
{
    public function __construct(public bool $isBore)
    {
    }
}
