<?php

declare(strict_types=1);

use Tests\Core\CheckCases;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

const CENTER = ['mouth' => 4, 'faceZ' => 1, 'quillDiameter' => 30, 'quillReach' => 40, 'bodyDiameter' => 80];
const BLADE = "G21 G99\nT0404\nG97 S500 M3\nG0 X60. Z-1.\n";
const CATCH_PLATE = ['name' => 'catch plate', 'profile' => [[-50, 90], [-40, 90], [-30, 60]]];

const TAKER = ['jawFaceZ' => 5, 'jawOuter' => 80, 'faceZ' => 40, 'bodyDiameter' => 110];
const TAKER_CODES = ['machine' => ['control' => ['codes' => ['second-forward' => 'M60', 'second-back' => 'M61']]]];

LatheCases::raises('turning.zone', [
    'a tool that runs into the jaws' => [LatheCases::READY."G0 X44. Z2.\nG1 Z-60. F0.2", [6, 7], 'stop', 'T1 comes 5.000 mm into the chuck, at Z−60.000 mm.',
    ],
    'a tool that runs into the body of the chuck' => [LatheCases::READY."G0 X140. Z2.\nG1 Z-83. F0.2", [6, 7], 'stop',
        'T1 comes 3.000 mm into the chuck, at Z−83.000 mm.', ['chuck' => ['faceZ' => -80, 'bodyDiameter' => 160]],
    ],
    'a thread insert in the jaws' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z2.\nG92 X39.4 Z-56. F1.5", 5, 'stop',
        'T5 comes 2.500 mm into the chuck, at Z−57.500 mm.',
    ],
    // The corner at Z2 Ø5 under a cone of 60° that is Ø5.155 there: 0.0774 × cos 30° (geometry).
    'a blade under the point of a centre' => [
        BLADE.'G1 X5. F0.05', [5, 6], 'stop', 'T4 comes 0.067 mm into the tailstock, at Z−1.000 mm.', ['tailstock' => CENTER],
    ],
    // An edge that falls by 5° lies under a cone of 30°, one that falls by 32° does not.
    'a square insert beside a centre' => ["G21 G99\nT0101\nG97 S500 M3\nG0 Z2.\nG1 X8. F0.1", [5, 6], 'stop',
        'T1 comes 4.055 mm into the tailstock, at Z2.000 mm.', ['tailstock' => CENTER],
    ],
    'a rapid against the quill' => [BLADE."Z30.\nX28.", [6, 7], 'stop', 'T4 comes 1.000 mm into the tailstock, at Z30.000 mm.', ['tailstock' => CENTER]],
    'a rapid along into the body' => [BLADE.'Z39.', [5, 6], 'stop', 'T4 comes 1.000 mm into the tailstock, at Z41.000 mm.', ['tailstock' => CENTER]],
    'a point in a hole in the raw face' => [BLADE."Z2.\nG1 X3. F0.05", [6, 7], 'stop', 'T4 comes 3.889 mm into the tailstock, at Z2.000 mm.',
        ['tailstock' => ['mouth' => 6, 'pointAngle' => 90, 'quillDiameter' => 30, 'quillReach' => 40]],
    ],
    'a steady' => [
        BLADE.'X50.', [5, 6], 'stop', 'T4 comes 0.500 mm into the steady, at Z−1.000 mm.', ['steady' => ['z' => -4, 'width' => 7, 'diameter' => 55]],
    ],
    // The blade is 3 wide: its far side is at Z10, 5 behind the jaws' face, and at Z43 or Z44 beside the body and the jaws.
    'the second spindle that has come to the part' => [BLADE."M60\nZ7.\nZ-1.\nM61", [6, 7], 'stop', 'T4 comes 5.000 mm into the second spindle, at Z5.000 mm.',
        ['secondSpindle' => TAKER] + TAKER_CODES,
    ],
    'its body above the jaws' => [BLADE."X104.\nM60\nZ41.\nZ-1.\nM61", [7, 8], 'stop', 'T4 comes 3.000 mm into the second spindle, at Z40.000 mm.',
        ['secondSpindle' => TAKER] + TAKER_CODES,
    ],
    'its jaws where no body is given' => [BLADE."X78.\nM60\nZ60.\nZ-1.\nM61", [7, 8], 'stop', 'T4 comes 1.000 mm into the second spindle, at Z5.000 mm.',
        ['secondSpindle' => ['jawFaceZ' => 5, 'jawOuter' => 80]] + TAKER_CODES,
    ],
    'a zone of its own' => [BLADE."X80.\nZ-38.", [6, 7], 'stop', 'T4 comes 1.109 mm into the zone “catch plate”, at Z−38.000 mm.',
        ['zones' => [CATCH_PLATE], 'chuck' => ['jawFaceZ' => -80]],
    ],
    'a zone that stays with the machine' => [BLADE."X80.\nZ-38.", [6, 7], 'stop', 'T4 comes 1.109 mm into the zone “catch plate”, at Z−38.000 mm.',
        ['workOffsets' => ['G54' => ['Z' => 100]], 'chuck' => ['jawFaceZ' => -80],
            'zones' => [['frame' => 'machine', 'profile' => [[50, 90], [60, 90], [70, 60]]] + CATCH_PLATE]],
    ],
]);

LatheCases::staysQuiet('turning.zone', [
    'over the body of the chuck' => [LatheCases::READY."G0 X160.4 Z2.\nG1 Z-83. F0.2", ['chuck' => ['faceZ' => -80, 'bodyDiameter' => 160]]],
    'over the steady' => [BLADE."X55.4\nZ-9.\nX80.", ['steady' => ['z' => -4, 'width' => 7, 'diameter' => 55]]],
    'short of the jaws' => [LatheCases::READY."G0 X44. Z2.\nG1 Z-54.9 F0.2"],
    'over the jaws' => [LatheCases::READY."G0 X124. Z2.\nG1 Z-60. F0.2"],
    'a blade that passes the cone' => [BLADE."G1 X5.2 F0.05\nG28 U0", ['tailstock' => CENTER]],
    'a pointed insert beside a centre' => ["G21 G99\nT0303\nG97 S500 M3\nG0 Z2.\nG1 X8. F0.1\nG28 U0", ['tailstock' => CENTER]],
    'a tailstock that stands back' => [BLADE."Z20.\nX28.", ['tailstock' => ['retracted' => true] + CENTER]],
    'over the quill, and short of the body' => [BLADE."Z20.\nX30.1\nZ37.9\nG28 U0", ['tailstock' => CENTER]],
    'beside the steady' => [BLADE.'G1 X36. F0.05', ['steady' => ['z' => -20, 'width' => 10, 'diameter' => 55]]],
    'a second spindle that stands back' => [BLADE.'Z60.', ['secondSpindle' => TAKER]],
    'one that has gone back' => ["M61\n".BLADE.'Z60.', ['secondSpindle' => TAKER + ['forward' => true]] + TAKER_CODES],
    'over its jaws, and short of its body' => [BLADE."X80.2\nM60\nZ36.9\nG0 X112.\nZ60.", ['secondSpindle' => TAKER] + TAKER_CODES],
    'over the slope of a zone' => [BLADE."X80.\nZ-36.6\nX100.\nZ-49.", ['zones' => [CATCH_PLATE], 'chuck' => ['jawFaceZ' => -80]]],
]);

it('looks at the second spindle where it stands from the beginning', function (array $second, array $lines): void {
    $found = Lathe::found('turning.zone', BLADE.'Z7.', array_replace_recursive(LatheCases::BAR, ['secondSpindle' => $second + TAKER]));
    expect(array_merge(...array_map(CheckCases::lines(...), $found)))->toBe($lines);
})->with(['at the part' => [['forward' => true], [4, 5, 6]], 'back' => [['forward' => false], []]]);

it('says what of a tailstock was not looked at', function (array $tailstock, string $says): void {
    expect(LatheCases::gaps(BLADE.'M30', ['tailstock' => $tailstock]))->toContain($says);
})->with([
    'nothing but that it is there' => [['pointAngle' => 60], 'No Ø of the centre hole or of the quill given: nothing was checked against the tailstock.'],
    'no body' => [['mouth' => 4, 'quillDiameter' => 30], 'No body of the tailstock given: it was checked as far as the quill.'],
]);
