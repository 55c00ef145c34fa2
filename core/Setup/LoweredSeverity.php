<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** Why the cautions of a check are notes in a setup, or on a machine. */
final readonly class LoweredSeverity
{
    public function __construct(public string $reason, public ?string $by = null, public bool $onMachine = false)
    {
    }
}
