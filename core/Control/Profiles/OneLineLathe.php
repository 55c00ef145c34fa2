<?php

declare(strict_types=1);

namespace OakTrace\Core\Control\Profiles;

use OakTrace\Core\Control\AngleWords;
use OakTrace\Core\Control\ArcOver180;
use OakTrace\Core\Control\ControlOptions;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\CornerWords;
use OakTrace\Core\Control\CycleForm;
use OakTrace\Core\Control\CycleNumbers;
use OakTrace\Core\Control\ToolWord;
use OakTrace\Core\Control\TurningOptions;

/** A lathe that says each cycle in one block and breaks corners by a plain C or R (common practice, from memory). */
final class OneLineLathe
{
    public static function profile(): ControlProfile
    {
        return IsoLatheA::profile()->with(
            name: 'one-line-lathe',
            title: 'Lathe, cycles in one line',
            options: new ControlOptions(turning: new TurningOptions(
                incrementWords: true, toolWord: ToolWord::TwoAndTwo, cornerWords: CornerWords::Plain, angleWords: AngleWords::Plain,
                cycleForm: CycleForm::OneLine, intsInCycles: CycleNumbers::LeastIncrements, arcOver180: ArcOver180::Refused,
            )),
        );
    }
}
