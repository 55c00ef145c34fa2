<?php

declare(strict_types=1);

namespace OakTrace\Core\Control\Profiles;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlOptions;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\WordLetters;

/**
 * A mill for many fixtures: extended work offsets under G154 and twenty of them under codes of their own (G120 to G139),
 * round pockets under G112 and G113, repeats in K, pecks that may shrink.
 */
final class WideTableMill
{
    private const FIRST_OWN_CODE = 120;

    private const OWN_CODES = 20;

    public static function profile(): ControlProfile
    {
        $iso = IsoMill::profile();
        $gCodes = array_diff_key($iso->gCodes, [120 => 1, 130 => 1, 541 => 1]);
        $gCodes[1540] = Code::ExtendedWorkOffset;
        $workOffsets = $iso->workOffsets;
        for ($i = 0; $i < self::OWN_CODES; $i++) {
            $number = 10 * (self::FIRST_OWN_CODE + $i);
            $gCodes[$number] = Code::WorkOffset;
            $workOffsets[$number] = 'G54.1P'.($i + 1);
        }
        $gCodes[1120] = Code::PocketClockwise;
        $gCodes[1130] = Code::PocketCounterClockwise;

        return $iso->with(
            name: 'wide-table-mill',
            title: 'Mill with a wide table',
            gCodes: $gCodes,
            workOffsets: $workOffsets,
            options: new ControlOptions(shrinkingPecks: true),
            letters: new WordLetters(cycleRepeats: 'K', callRepeats: 'L'),
        );
    }
}
