<?php

declare(strict_types=1);

namespace OakTrace\Core\Control\Profiles;

use OakTrace\Core\Control\AngleWords;
use OakTrace\Core\Control\ArcOver180;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlOptions;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\CornerWords;
use OakTrace\Core\Control\DwellUnit;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Control\ToolWord;
use OakTrace\Core\Control\TurningOptions;
use OakTrace\Core\Control\WordLetters;
use OakTrace\Core\Quantities\Units;

/**
 * A lathe whose increments are U and W: single cycles under G90 G92 G94, feed modes under G98 G99, clamp and position under G50.
 * Codes ISO 6983-1 has are as there; the cycles are common practice, from memory.
 */
final class IsoLatheA
{
    public static function profile(): ControlProfile
    {
        $iso = IsoMill::profile();

        return new ControlProfile(
            name: 'iso-lathe-a',
            title: 'Lathe, increments in U and W',
            gCodes: [320 => Code::Thread, 500 => Code::SetPosition] + self::cycles([900, 920, 940], [700, 710, 720, 730, 740, 750, 760])
                + [980 => Code::FeedPerMinute, 990 => Code::FeedPerRevolution] + self::shared(),
            mCodes: array_diff_key($iso->mCodes, [60 => 1]),
            workOffsets: $iso->workOffsets,
            defaultWorkOffset: $iso->defaultWorkOffset,
            defaultUnits: Units::Millimetre,
            options: new ControlOptions(dwellUnit: DwellUnit::Milliseconds, turning: self::turning(true)),
            letters: new WordLetters(lengthNumber: '', cutterNumber: ''),
            systemVariables: $iso->systemVariables,
            defaultPlane: Plane::ZX,
            defaultFeedMode: Code::FeedPerRevolution,
        );
    }

    /** @param  bool  $incrementWords  whether U and W are ways, where there is no G91 */
    public static function turning(bool $incrementWords): TurningOptions
    {
        return new TurningOptions(
            incrementWords: $incrementWords, toolWord: ToolWord::TwoAndTwo, cornerWords: CornerWords::Comma, angleWords: AngleWords::Either,
            arcOver180: ArcOver180::Refused,
        );
    }

    /**
     * What a lathe has of the codes of a mill, under the same numbers.
     *
     * @return array<int, Code>
     */
    public static function shared(): array
    {
        $codes = [
            0, 10, 20, 30, 40, 90, 100, 170, 180, 190, 200, 210, 270, 280, 300, 310, 400, 410, 420, 520, 530, 540, 550, 560, 570, 580, 590, 610, 640,
            650, 660, 670, 800, 830, 840, 850, 960, 970,
        ];

        return array_intersect_key(IsoMill::profile()->gCodes, array_flip($codes))
            + [340 => Code::ThreadRising, 350 => Code::ThreadFalling, 870 => Code::PeckDrillAcross, 880 => Code::TapAcross, 890 => Code::BoreAcross];
    }

    /**
     * The turning cycles under the numbers a system of codes gives them, in tenths.
     *
     * @param  array{int, int, int}  $single  along, thread, across
     * @param  array{int, int, int, int, int, int, int}  $repeated  finish, rough along, across, pattern, pecks along, across, thread
     * @return array<int, Code>
     */
    public static function cycles(array $single, array $repeated): array
    {
        return array_combine($single, [Code::TurnAlong, Code::ThreadPass, Code::TurnAcross]) + array_combine($repeated, [
            Code::FinishShape, Code::RoughAlong, Code::RoughAcross, Code::RoughPattern, Code::PeckAlong, Code::PeckAcross, Code::ThreadSeries,
        ]);
    }
}
