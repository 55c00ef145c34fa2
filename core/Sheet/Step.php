<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** One operation of a sheet as it was filled in. */
final readonly class Step
{
    /** @param  array<string, mixed>  $given  its answers, in the units of the sheet */
    public function __construct(
        public string $id, public string $kind, public string $name, public ?int $tool, public bool $isOff, public array $given, public string $path,
    ) {
    }
}
