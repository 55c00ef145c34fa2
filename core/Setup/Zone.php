<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** A solid of revolution about the spindle that no tool may come into. Millimetres. */
final readonly class Zone
{
    /**
     * @param  list<array{float, float}>  $profile  Z and diameter, along Z
     * @param  string  $side  of the profile the tools keep to
     * @param  string  $frame  work: Z counts in the work offset of the stock; machine: as the axis does
     */
    public function __construct(public string $name, public array $profile, public string $frame = 'work', public string $side = 'outside')
    {
    }
}
