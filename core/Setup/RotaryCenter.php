<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** Where a rotary axis turns: a point of its line in the coordinates of a work offset, mm by axis name; and the table under it, if it is known. */
final readonly class RotaryCenter
{
    /**
     * @param  array<string, float>  $at
     * @param  float|null  $table  Z of the table in the same coordinates, mm
     */
    public function __construct(public string $workOffset, public array $at, public ?float $table = null)
    {
    }
}
