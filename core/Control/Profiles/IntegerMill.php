<?php

declare(strict_types=1);

namespace OakTrace\Core\Control\Profiles;

use OakTrace\Core\Control\BareNumbers;
use OakTrace\Core\Control\ControlOptions;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\DIs;
use OakTrace\Core\Control\DwellUnit;
use OakTrace\Core\Control\OutsideCorner;
use OakTrace\Core\Control\RapidPath;
use OakTrace\Core\Control\RepeatIn;
use OakTrace\Core\Control\SystemVariable;

/**
 * A mill that reads a number without a point in least increments: dwells in milliseconds, cutter offsets as radii, every axis
 * at its own rapid rate, repeats before the last four digits of a call.
 */
final class IntegerMill
{
    public static function profile(): ControlProfile
    {
        $iso = IsoMill::profile();

        return $iso->with(
            name: 'integer-mill',
            title: 'Mill that counts in least increments',
            options: new ControlOptions(
                rapidPath: RapidPath::Independent,
                bareNumbers: BareNumbers::LeastIncrements,
                dwellUnit: DwellUnit::Milliseconds,
                dIs: DIs::Radius,
                outsideCorner: OutsideCorner::Extended,
                lookAheadBlocks: 2,
                subprogramRepeats: RepeatIn::LeadingDigits,
                semicolonComments: false,
            ),
            systemVariables: [[2001, 2200, SystemVariable::LengthOffsets], [5001, 5009, SystemVariable::Position], ...$iso->systemVariables],
        );
    }
}
