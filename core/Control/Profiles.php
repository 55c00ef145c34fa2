<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

use OakTrace\Core\Control\Profiles\IntegerMill;
use OakTrace\Core\Control\Profiles\IsoLatheA;
use OakTrace\Core\Control\Profiles\IsoLatheB;
use OakTrace\Core\Control\Profiles\IsoLatheC;
use OakTrace\Core\Control\Profiles\IsoMill;
use OakTrace\Core\Control\Profiles\OneLineLathe;
use OakTrace\Core\Control\Profiles\WideTableMill;

/** The catalogue of control profiles that come with the house. */
final class Profiles
{
    private const CATALOGUE = [
        'iso-mill' => IsoMill::class,
        'integer-mill' => IntegerMill::class,
        'wide-table-mill' => WideTableMill::class,
        'iso-lathe-a' => IsoLatheA::class,
        'iso-lathe-b' => IsoLatheB::class,
        'iso-lathe-c' => IsoLatheC::class,
        'one-line-lathe' => OneLineLathe::class,
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
