<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** A length of a turned part whose faces need not reach the same diameter. */
final readonly class LengthShape implements SizeShape
{
    /** @param  float  $toDiameter  where its end towards plus is measured */
    public function __construct(public float $toDiameter)
    {
    }
}
