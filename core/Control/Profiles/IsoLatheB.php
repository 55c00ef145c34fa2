<?php

declare(strict_types=1);

namespace OakTrace\Core\Control\Profiles;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlOptions;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\DwellUnit;

/** A lathe with G90 and G91: single cycles under G77 G78 G79, threads under G33, clamp and position under G92 (common practice, from memory). */
final class IsoLatheB
{
    /** Distance, feed and return as ISO 6983-1 has them, and what stands beside them. */
    public const MODES = [
        330 => Code::Thread, 900 => Code::Absolute, 910 => Code::Incremental, 920 => Code::SetPosition, 940 => Code::FeedPerMinute,
        950 => Code::FeedPerRevolution, 980 => Code::ReturnInitial, 990 => Code::ReturnR,
    ];

    public static function profile(): ControlProfile
    {
        return IsoLatheA::profile()->with(
            name: 'iso-lathe-b',
            options: new ControlOptions(dwellUnit: DwellUnit::Milliseconds, turning: IsoLatheA::turning(false)),
            title: 'Lathe, G90 and G91',
            gCodes: self::MODES + IsoLatheA::cycles([770, 780, 790], [700, 710, 720, 730, 740, 750, 760]) + IsoLatheA::shared(),
        );
    }
}
