<?php

declare(strict_types=1);

namespace OakTrace\Core\Control\Profiles;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlOptions;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\DwellUnit;

/** A lathe with G90 and G91 whose single cycles are G20 G21 G24 and whose units are G70 G71 (common practice, from memory). */
final class IsoLatheC
{
    public static function profile(): ControlProfile
    {
        return IsoLatheA::profile()->with(
            name: 'iso-lathe-c',
            options: new ControlOptions(dwellUnit: DwellUnit::Milliseconds, turning: IsoLatheA::turning(false)),
            title: 'Lathe, G90 and G91, cycles from G72',
            gCodes: [700 => Code::UnitsInch, 710 => Code::UnitsMillimetre] + IsoLatheB::MODES
                + IsoLatheA::cycles([200, 210, 240], [720, 730, 740, 750, 760, 770, 780]) + IsoLatheA::shared(),
        );
    }
}
