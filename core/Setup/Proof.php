<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** That a program has been proven, and what decided its motion then. */
final readonly class Proof
{
    /**
     * @param  array<string, string>  $parts  what decides the motion => its fingerprint
     * @param  array<string, string>  $changedBy  what has changed since => who last changed it, and when, where that is known
     */
    public function __construct(public string $on, public ?string $by, public array $parts, public array $changedBy = [])
    {
    }
}
