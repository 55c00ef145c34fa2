<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff;

/** Readings that were taken of something else in the same setup, or of the same thing before. */
final readonly class Taken
{
    /**
     * @param  string  $subject  G54 X, H2
     * @param  string  $method  name of the method
     * @param  array<string, float>  $readings  mm
     */
    public function __construct(public string $subject, public string $method, public array $readings)
    {
    }
}
