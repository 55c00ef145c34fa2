<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;
use Tests\Core\LatheCases;

// A line along X, and an arc of radius 10 that leaves it; its centre stands straight above the joint where the two are tangent.
$joint = fn (float $i): string => sprintf("G1 Z-1. F100.\nX20. F300.\nG3 X%.4F Y%.4F I%.4F J10.\nG0 Z25.", 20 + $i + sqrt(100 + $i * $i), 10.0, $i);

CheckCases::raises('geometry.almost-tangent', [
    'a centre a little beside' => [$joint(0.2), 8, 'note', 'It meets the move before it 1.146° off tangent.', null],
    'three degrees off' => [$joint(0.5), 8, 'note', 'It meets the move before it 2.862° off tangent.', null],
    'two arcs' => [
        "G1 Z-1. F100.\nG3 X20. Y0. I10. J0. F300.\nG2 X40.01 Y0. I10.005 J.3\nG0 Z25.", 8, 'note', 'It meets the move before it 1.718° off tangent.',
        null,
    ],
    'a line behind an arc' => [
        "G1 Z-1. F100.\nX20. F300.\nG3 X30. Y10. I0. J10.\nG1 X29.651 Y29.997\nG0 Z25.", 9, 'note', 'It meets the move before it 1.000° off tangent.', null,
    ],
    'as given, with the cutter beside it' => [
        "G1 Z-1. F100.\nG41 D1 X0. Y-10.\nX20. F300.\nG3 X30.2 Y0. I.2 J10.\nG1 Y30.\nG40 X0.\nG0 Z25.", 9, 'note',
        'It meets the move before it 1.146° off tangent.', null, ['offsets' => ['D' => ['1' => 4]]],
    ],
    'in an upright plane' => [
        "G18 G1 Z-1. F100.\nX20. F300.\nG3 X30.2 Z-11. I.2 K-10.\nG17 G0 Z25.", 8, 'note', 'It meets the move before it 1.146° off tangent.', null,
    ],
    'against the sense of the angle' => [
        "X20. Y0.\nG1 Z-1. F100.\nX0. F300.\nG3 X-10.2 Y-10. I-.2 J-10.\nG0 Z25.", 9, 'note', 'It meets the move before it 1.146° off tangent.', null,
    ],
]);

CheckCases::staysQuiet('geometry.almost-tangent', [
    'tangent' => [$joint(0.0)],
    'rounded to the last figure' => [$joint(0.0005)],
    'a corner' => [$joint(2.0)],
    'a little less than looks like a slip' => [$joint(0.03)],
    'a little more' => [$joint(0.55)],
    'two lines behind an arc' => ["G1 Z-1. F100.\nX20. F300.\nG3 X30. Y10. I0. J10.\nG1 Y30.\nX29.8 Y40.\nG0 Z25."],
    'a piece too short to have a direction' => ["G1 Z-1. F100.\nX19.9 F300.\nX20. Y0.002\nG3 X30. Y10. I0. J9.998\nG0 Z25."],
    'on a slope' => ["G1 Z-1. F100.\nX20. Z-2. F300.\nG3 X30.2 Y10. I.2 J10.\nG0 Z25."],
    'tangent, with the cutter beside it' => ["G1 Z-1. F100.\nG42 D1 X0. Y-10.\nX20. F300.\nG3 X30. Y0. I0. J10.\nG1 Y30.\nG40 X0.\nG0 Z25."],
    'before a corner that the cutter just fills' => [
        "G1 Z-1. F100.\nG41 D1 X0. Y-10.\nY0.\nX20. F300.\nG3 X30. Y10. R10.\nG1 Y150.\nG3 X25. Y155. R5.\nG1 X0.\nG40 Y140.\nG0 Z25.",
    ],
    'a lead-in that is nearly tangent' => ["G1 Z-1. F100.\nG42 D1 X20. Y0.4\nG3 X30. Y10. I0. J9.6\nG1 Y30.\nG40 X0.\nG0 Z25."],
    'a lift between, with the cutter beside it' => [
        "G1 Z-1. F100.\nG42 D1 X0. Y-10.\nX20. F300.\nZ1.\nZ-1.\nG3 X30.2 Y0. I.2 J10.\nG1 Y30.\nG40 X0.\nG0 Z25.",
    ],
    'a rapid between' => ["G1 Z-1. F100.\nX20. F300.\nG0 Z25.\nG1 Z-1.\nG3 X30.2 Y10. I.2 J10.\nG0 Z25."],
    'from one plane into another' => ["G1 Z-1. F100.\nX20. F300.\nG18 G3 X30.2 Z-11. I.2 K-10.\nG17 G1 Y2.\nG0 Z25."],
    'two lines' => ["G1 Z-1. F100.\nX20. F300.\nX40. Y.5\nG0 Z25."],
]);

LatheCases::raises('geometry.almost-tangent', [
    'an arc on a lathe, the nose beside it' => [
        LatheCases::READY."G0 X30. Z3.\nG42 X10. Z2.\nG1 Z0. F0.2\nX20.\nG3 X30. Z-5. I.1 K-5.\nG1 Z-10.\nX44.\nG40 G0 X80. Z5.", 9, 'note',
        'It meets the move before it 1.146° off tangent.',
        ['offsets' => ['T' => ['1' => ['R' => 0.8, 'tip' => 3]]]],
    ],
]);

LatheCases::staysQuiet('geometry.almost-tangent', [
    'round a corner and into a fillet, the nose beside them' => [
        LatheCases::READY."G0 X30. Z3.\nG42 X20. Z2.\nG1 Z0. F0.2\nG3 X30. Z-5. R5.\nG1 Z-10.\nG2 X70. Z-30. R20.\nG1 X74.\nG40 G0 X80. Z5.",
        ['offsets' => ['T' => ['1' => ['R' => 0.8, 'tip' => 3]]]],
    ],
    'of a roughing cycle' => [
        LatheCases::READY."G0 X42. Z2.\nG71 U2. R.5\nG71 P10 Q20 U.4 W.1 F.25\nN10 G0 X20.\nG1 Z0.\nG3 X30.2 Z-5. I.2 K-5.\nN20 G1 X42.",
    ],
]);

it('names every line that meets the one before it so', function (): void {
    $found = Bench::findings('geometry.almost-tangent', Bench::verify(Bench::sound(
        "G1 Z-1. F100.\nX20. F300.\nG3 X30. Y10. I0. J10.\nG1 X29.651 Y29.997\nX0. Y30.\nG3 X-10. Y20. I-.3 J-10.\nG0 Z25.",
    )));
    expect($found)->toHaveCount(1)->and($found[0]->line)->toBe(9)->and($found[0]->alsoAt)->toBe([11]);
});
