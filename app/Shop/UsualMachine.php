<?php

declare(strict_types=1);

namespace App\Shop;

use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Formats\ControlFields;

/** What a new machine begins as: a mill of three axes, home at the plus ends, every figure to be looked at (common practice). */
final class UsualMachine
{
    private const AXES = ['X' => [-500, 24000], 'Y' => [-400, 24000], 'Z' => [-400, 18000]];

    /** @return object a machine's definition in millimetres */
    public static function mill(string $name): object
    {
        $profile = Profiles::named('iso-mill') ?? throw new \LogicException('The catalogue has no iso-mill.');
        $axes = array_map(static fn (array $axis): array => ['min' => $axis[0], 'max' => 0, 'rapid' => $axis[1]], self::AXES);

        /** @var object */
        return json_decode((string) json_encode([
            'name' => $name, 'kind' => 'mill', 'axes' => $axes, 'home' => ['X' => 0, 'Y' => 0, 'Z' => 0], 'maxFeed' => 10000,
            'spindle' => ['maxRpm' => 8000], 'toolChange' => ['seconds' => 6, 'at' => ['Z' => 0]], 'control' => (new ControlFields(1.0))->write($profile),
        ]), false);
    }
}
