<?php

declare(strict_types=1);

use OakTrace\Core\Stock\Turned\CuttingShape;
use OakTrace\Core\Stock\Turned\HolderShape;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

const DRILL_CHUCK = ['tools' => [1 => ['stickout' => 20, 'holder' => [['diameter' => 30, 'length' => 40], ['diameter' => 60]]]]];
const SHANK = ['tools' => [2 => ['shankWidth' => 20, 'projection' => 40]]];
const DRILLING = "G21 G99\nT0202\nG97 S500 M3\nG0 X0. Z2.\n";
const BEHIND = "G21 G99\nT0303\nG97 S500 M3\nG0 X50. Z-20.\n";
const BAR_IN_BORE = [
    'stock' => ['bore' => 20],
    'tools' => [5 => [
        'number' => 6, 'kind' => 'boring', 'cornerRadius' => 0.4, 'approachAngle' => 95, 'includedAngle' => 80, 'minBore' => 16, 'stickout' => 30,
        'holder' => ['diameter' => 32, 'length' => 50],
    ]],
    'offsets' => ['T' => ['6' => ['X' => 0, 'Z' => 0, 'R' => 0.4, 'tip' => 2]]],
];
const PARTING = ['tools' => [3 => ['stickout' => 10, 'shankWidth' => 20, 'projection' => 40]]];
const BLADE_OF_TEN = ['tools' => [3 => ['kind' => 'grooving', 'stickout' => 10, 'shankWidth' => 20, 'projection' => 40]]];

LatheCases::raises('turning.holder', [
    // The bar ends at Z1: 25 deep with 20 outside the chuck is 6 too deep.
    'a drill deeper than it stands out' => [DRILLING.'G1 Z-25. F0.1', 5, 'stop', 'The holder of T2 comes 6.000 mm into the part, at Z−5.000 mm.', DRILL_CHUCK],
    'the second step of its holder' => [DRILLING.'G1 Z-25. F0.1', 5, 'stop', 'The holder of T2 comes 2.000 mm into the part, at Z−1.000 mm.',
        ['tools' => [1 => ['stickout' => 20, 'holder' => [['diameter' => 7, 'length' => 4], ['diameter' => 60]]]]],
    ],
    'pecks, of which the last is too deep' => [DRILLING.'G83 Z-22. Q6000 R0 F0.1', 5, 'stop',
        'The holder of T2 comes 3.000 mm into the part, at Z−2.000 mm.', DRILL_CHUCK,
    ],
    'a boring bar' => ["G21 G99\nT0606\nG97 S500 M3\nG0 X21. Z2.\nG1 Z-32. F0.1", 5, 'stop', 'The holder of T6 comes 3.000 mm into the part, at Z−2.000 mm.',
        BAR_IN_BORE,
    ],
    // The edge of 12 stands 12 × sin 93° out of the shank, that is from R17.984 on.
    'a shank behind a flange' => [BEHIND.'G1 X12. F0.1', 5, 'stop', 'The holder of T3 comes 2.016 mm into the part, at Z−19.372 mm.', SHANK],
    'a blade shorter than its groove is deep' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X50. Z-30.\nG1 X16. F0.1", 5, 'stop',
        'The holder of T4 comes 2.000 mm into the part, at Z−30.000 mm.', BLADE_OF_TEN,
    ],
    // Its block is flush with the blade on the side the tip points to, and reaches 20 towards the jaws: to R55 where they turn in R60.
    'the block of a blade at the jaws' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X104. Z-50.\nG1 X90. F0.1\nG28 U0", 5, 'stop',
        'The holder of T4 comes 5.000 mm into the chuck, at Z−70.000 mm.', PARTING + ['offsets' => ['T' => ['4' => ['tip' => 4]]]],
    ],
    // Its far corner at Z22 R12.4 under a cone that is R14.124 there: 1.724 × cos 30° (geometry). The blade passes the cone.
    'a block under the point of a centre' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X50. Z2.\nG1 X8.8 F0.1\nG28 U0", 5, 'stop',
        'The holder of T4 comes 1.493 mm into the tailstock, at Z2.000 mm.',
        ['tools' => [3 => ['kind' => 'grooving', 'stickout' => 8, 'shankWidth' => 20, 'projection' => 40]],
            'tailstock' => ['mouth' => 4, 'faceZ' => 1, 'quillDiameter' => 30, 'quillReach' => 40]],
    ],
]);

LatheCases::staysQuiet('turning.holder', [
    'a drill as deep as it stands out' => [DRILLING.'G1 Z-19. F0.1', DRILL_CHUCK],
    'a boring bar short of its holder' => ["G21 G99\nT0606\nG97 S500 M3\nG0 X21. Z2.\nG1 Z-28.9 F0.1", BAR_IN_BORE],
    'a flange lower than the edge is long' => [BEHIND.'G1 X16.1 F0.1', SHANK],
    'a blade as long as its groove is deep' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X50. Z-30.\nG1 X20. F0.1", BLADE_OF_TEN],
    'a parting blade too short, which is told of the part-off' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X50. Z-30.\nG1 X16. F0.1", PARTING],
    'behind an insert that runs into the jaws itself' => [LatheCases::READY."G0 X44. Z2.\nG1 Z-60. F0.2\nG28 U0", ['tools' => [0 => SHANK['tools'][2]]]],
    'behind an insert that goes into the part at rapid' => ["G21 G99\nT0303\nG97 S500 M3\nG0 X50. Z-20.\nX12.\nX50.", SHANK],
    'a shank of which the width is not known' => [BEHIND.'G1 X12. F0.1', ['tools' => [2 => ['projection' => 40]]]],
    'a tool with its offset cancelled' => ["G21 G99\nT0202\nG97 S500 M3\nT0200\nG0 X0. Z-25.", DRILL_CHUCK],
]);

it('says of which tools it knows no holder', function (): void {
    expect(LatheCases::gaps(DRILLING."G1 Z-19. F0.1\nG0 Z50.\nT0101\nG0 X50. Z2.\nM30", []))
        ->toContain('No holder given for T2, T1: what it runs into was not checked.')
        ->and(LatheCases::gaps(DRILLING."G1 Z-19. F0.1\nM30", DRILL_CHUCK))->not->toContain('No holder given for T2: what it runs into was not checked.');
});

it('goes round every shape point by point, as it is drawn', function (array $tool, array $offset, int $pieces): void {
    $setup = Lathe::setup(['tools' => [0 => ['number' => 1] + $tool], 'offsets' => ['T' => ['1' => ['X' => 0, 'Z' => 0] + $offset]]]);
    [$tool, $offset] = [$setup->tooling->tools[1], $setup->tooling->turningOffsets[1]];
    $shapes = [CuttingShape::of($tool, $offset) ?? [], ...HolderShape::of($tool, $offset)];
    foreach ($shapes as $shape) {
        $turns = [];
        foreach ($shape as $n => [$z, $x]) {
            [[$toZ, $toX], [$onZ, $onX]] = [$shape[($n + 1) % count($shape)], $shape[($n + 2) % count($shape)]];
            $turns[] = ($toZ - $z) * ($onX - $toX) - ($toX - $x) * ($onZ - $toZ);
        }
        expect(min($turns) > -1e-9 || max($turns) < 1e-9)->toBeTrue();
    }
    expect($shapes)->toHaveCount(1 + $pieces);
})->with([
    'a drill' => [['kind' => 'drill', 'diameter' => 8, 'stickout' => 20, 'holder' => [['diameter' => 30, 'length' => 40], ['diameter' => 60]]], [], 2],
    'an insert' => [
        ['kind' => 'turning', 'cornerRadius' => 0.4, 'approachAngle' => 95, 'includedAngle' => 80, 'shankWidth' => 20, 'projection' => 40],
        ['R' => 0.4, 'tip' => 3], 1,
    ],
    'one that points the other way' => [
        ['kind' => 'turning', 'cornerRadius' => 0.4, 'approachAngle' => 93, 'includedAngle' => 55, 'shankWidth' => 20, 'projection' => 40],
        ['R' => 0.4, 'tip' => 4], 1,
    ],
    'a boring bar' => [
        [
            'kind' => 'boring', 'cornerRadius' => 0.4, 'approachAngle' => 95, 'includedAngle' => 80, 'minBore' => 16, 'stickout' => 30,
            'holder' => ['diameter' => 32],
        ],
        ['R' => 0.4, 'tip' => 2], 1,
    ],
    'a blade' => [['kind' => 'grooving', 'width' => 3, 'stickout' => 10, 'shankWidth' => 20, 'projection' => 40], ['tip' => 8], 1],
    'a thread insert' => [['kind' => 'threading', 'pitch' => 1.5, 'shankWidth' => 20, 'projection' => 40], ['tip' => 8], 1],
]);

it('has the shank of each hand on the side its tip does not point to', function (int $tip, float $from, float $to): void {
    $setup = Lathe::setup([
        'tools' => [0 => ['number' => 1, 'kind' => 'grooving', 'width' => 3, 'stickout' => 10, 'shankWidth' => 20, 'projection' => 40]],
        'offsets' => ['T' => ['1' => ['X' => 0, 'Z' => 0, 'tip' => $tip]]],
    ]);
    [$shank] = HolderShape::of($setup->tooling->tools[1], $setup->tooling->turningOffsets[1]);
    expect([min(array_column($shank, 0)), max(array_column($shank, 0))])->toEqualWithDelta([$from, $to], 1e-9)
        ->and([min(array_column($shank, 1)), max(array_column($shank, 1))])->toEqualWithDelta([10.0, 40.0], 1e-9);
})->with([[3, 0.0, 20.0], [4, -20.0, 0.0], [8, -10.0, 10.0]]);
