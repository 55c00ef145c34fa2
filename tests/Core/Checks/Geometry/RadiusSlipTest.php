<?php

declare(strict_types=1);

use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;
use Tests\Core\LatheCases;
use Tests\Core\Rounded;

$corner = fn (string $r): string => "G1 Z-1. F300.\nX18.\nG3 X20. Y2. R{$r} F300.\nG1 Y20.\nG0 Z25.";

CheckCases::raises('geometry.radius-slip', [
    'ten times over' => [
        $corner('20.'), 8, 'caution', 'R 20.000 mm leaves a corner at both ends; R 2.000 mm would meet both lines without one.',
        'Put R2. @ 8:14 3 “2.”',
    ],
    'a point typed for none' => [
        "X-20.\nG1 Z-1. F300.\nX0.\nG3 X20. Y20. R200. F300.\nG1 Y30.\nG0 Z25.", 9, 'caution',
        'R 200.000 mm leaves a corner at both ends; R 20.000 mm would meet both lines without one.', 'Put R20. @ 9:15 4 “20.”',
    ],
    'ten times too small, on a flat bow' => [
        "X-20.\nG1 Z-1. F300.\nX0.\nG3 X15.932 Y1.277 R10. F300.\nG1 X35.676 Y4.463\nG0 Z25.", 9, 'caution',
        'R 10.000 mm leaves a corner at both ends; R 100.023 mm would meet both lines without one.', 'Put R100. @ 9:20 3 “100.”',
    ],
    'with the cutter beside it' => [
        Rounded::plate('G2 X48. Y30. R80.', beside: 'G41 D1 '), 12, 'caution',
        'R 80.000 mm leaves a corner at both ends; R 8.000 mm would meet both lines without one.', 'Put R8. @ 12:15 3 “8.”',
    ],
    'not rounded as the others are' => [
        Rounded::plate('G2 X48. Y30. R6.'), 12, 'caution',
        'R 6.000 mm leaves a corner at both ends; R 8.000 mm, as on line 10, would meet both lines without one.', 'Put R8. @ 12:15 2 “8.”',
    ],
    'the others by their centres' => [
        Rounded::plate('G2 X48. Y30. R6.', 'G2 X40. Y-38. I-8. J0.', 'G2 X-48. Y-30. I0. J8.', first: 'G2 X-40. Y38. I8. J0.'), 12, 'caution',
        'R 6.000 mm leaves a corner at both ends; R 8.000 mm, as on line 10, would meet both lines without one.', null,
    ],
    'clockwise' => [
        "G1 Z-1. F300.\nX18.\nG2 X20. Y-2. R20. F300.\nG1 Y-20.\nG0 Z25.", 8, 'caution',
        'R 20.000 mm leaves a corner at both ends; R 2.000 mm would meet both lines without one.', 'Put R2. @ 8:15 3 “2.”',
    ],
]);

CheckCases::staysQuiet('geometry.radius-slip', [
    'as it should be' => [$corner('2.')],
    'a flat arc that is meant' => [$corner('5.')],
    'no tenth of it fits well' => [$corner('20.3')],
    'one corner of that radius alone' => [Rounded::plate('G2 X48. Y30. R6.', 'G2 X40. Y-38. R20.', 'G2 X-48. Y-30. R20.')],
    'one corner of that radius, run twice' => [
        "M98 P9\nG0 Z25.\nM98 P9\nM30\nO9\n".Rounded::plate('G2 X48. Y30. R6.', 'G2 X40. Y-38. R20.', 'G2 X-48. Y-30. R20.')."\nM99",
    ],
    'to the other side as well' => [Rounded::plate('G3 X48. Y30. R6.')],
    'a crowned end' => ["G0 X-60. Y-60.\nG1 Z-2. F300.\nX-48. Y-50.\nY30.\nG2 X48. Y30. R60.\nG1 Y-60.\nG0 Z25."],
    'the first move of all' => ["G3 X2. Y2. R20. F300.\nG1 Y20."],
    'between a rapid and a line' => ["G0 Z2.\nX18.\nG3 X20. Y2. R20. F300.\nG1 Y20.\nG0 Z25."],
    'behind it a rapid' => ["G1 Z-1. F300.\nX18.\nG3 X20. Y2. R20. F300.\nG0 Y20.\nZ25."],
    'going down' => ["G1 Z-1. F300.\nX18.\nG3 X20. Y2. Z-2. R20. F300.\nG1 Y20.\nG0 Z25."],
    'on a way down' => ["G1 Z-1. F300.\nX18. Z-1.5\nG3 X20. Y2. R20. F300.\nG1 Y20.\nG0 Z25."],
    'by its centre' => ["G1 Z-1. F300.\nX18.\nG3 X20. Y2. I-13.107 J15.107 F300.\nG1 Y20.\nG0 Z25."],
    'as good as straight' => ["X-20.\nG1 Z-1. F300.\nX0.\nG3 X15.995 Y.64 R20. F300.\nG1 X35.931 Y2.24\nG0 Z25."],
    'one that leaves a line at an angle' => ["G1 Z-1. F300.\nX18.\nG3 X20. Y3. R20. F300.\nG1 Y20.\nG0 Z25."],
]);

LatheCases::raises('geometry.radius-slip', [
    'on a lathe, the nose beside it' => [
        LatheCases::READY."G0 X30. Z3.\nG42 X10. Z2.\nG1 Z0. F0.2\nX20.\nG3 X30. Z-5. R50.\nG1 Z-10.\nX44.\nG40 G0 X80. Z5.", 9, 'caution',
        'R 50.000 mm leaves a corner at both ends; R 5.000 mm would meet both lines without one.',
        ['offsets' => ['T' => ['1' => ['R' => 0.8, 'tip' => 3]]]], 'Put R5. @ 9:15 3 “5.”',
    ],
]);

it('tells each of them, and a line that is run twice once', function (): void {
    $round = "G1 X18. Y0.\nG3 X20. Y2. R20. F300.\nG1 Y18.\nG3 X18. Y20. R20.\nG1 X0.";
    $run = Bench::verify(Bench::sound("G1 Z-1. F300.\nM98 P9 L2\nM30\nO9\nX0. Y0.\n{$round}\nM99"));
    $found = Bench::findings('geometry.radius-slip', $run);
    expect(array_map(static fn (Finding $finding): int => SourceMap::lineNumber($finding->line), $found))->toBe([12, 14]);
});
