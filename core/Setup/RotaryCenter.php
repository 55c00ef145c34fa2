<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** Where a rotary axis turns: a point of its line in the coordinates of a work offset, mm by axis name. */
final readonly class RotaryCenter
{
    /** @param  array<string, float>  $at */
    public function __construct(public string $workOffset, public array $at)
    {
    }
}
