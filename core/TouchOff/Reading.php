<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff;

/** Something a worksheet asks for. */
final readonly class Reading
{
    /**
     * @param  string  $is  position (of an axis in the machine), length, or side (minus or plus)
     * @param  float|null  $usual  what stands there to begin with
     */
    public function __construct(public string $name, public string $words, public string $is = 'position', public ?float $usual = null)
    {
    }
}
