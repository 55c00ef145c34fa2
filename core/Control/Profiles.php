<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

use OakTrace\Core\Control\Profiles\IsoMill;

/** The catalogue of control profiles that come with the house. */
final class Profiles
{
    private const CATALOGUE = [
        'iso-mill' => IsoMill::class,
    ];

    /** @return list<string> */
    public static function names(): array
    {
        return array_keys(self::CATALOGUE);
    }

    public static function named(string $name): ?ControlProfile
    {
        return isset(self::CATALOGUE[$name]) ? self::CATALOGUE[$name]::profile() : null;
    }
}
