<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** The whole outside or the whole bore of a turned part. */
final readonly class ProfileShape implements SizeShape
{
    /** @param  non-empty-list<array{float, float}>  $points  Z and radius, from minus to plus, mm */
    public function __construct(public bool $isBore, public array $points)
    {
    }
}
