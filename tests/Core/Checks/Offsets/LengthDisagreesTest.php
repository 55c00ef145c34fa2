<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$each = "G0 Z50.\nT2 M6\nG54 G0 X0. Y0.\nS1200 M3\nG43 H2 Z25.\nG0 Z50.\nT3 M6\nG54 G0 X0. Y0.\nS1200 M3\nG43 H3 Z25.";
$two = "G0 Z50.\nT2 M6\nG54 G0 X0. Y0.\nS1200 M3\nG43 H2 Z25.";
$measured = static fn (array $offsets, string $school = 'touch-off', array $lengths = [211.8, 218.6, 240.25]): array => [
    'lengthSchool' => $school,
    'offsets' => ['H' => array_combine(['1', '2', '3'], $offsets)],
    'tools' => array_map(static fn (float $length, int $n): array => [
        'number' => $n, 'kind' => 'end-mill', 'diameter' => 6, 'length' => $length,
    ], $lengths, [1, 2, 3]),
];
$assembled = static fn (float $stickout): array => [
    'offsets' => ['H' => ['1' => -250, '2' => -230, '3' => -240]],
    'tools' => array_map(static fn (float $out, int $n): array => [
        'number' => $n, 'kind' => 'end-mill', 'diameter' => 6, 'stickout' => $out, 'holder' => ['diameter' => 40, 'length' => 60],
    ], [30, $stickout, 40], [1, 2, 3]),
];

// Worked examples of touching off: H − L is −460 for each; H2 −251.4 makes it −470.
CheckCases::raises('offsets.length-disagrees', [
    'a figure of a length turned' => [
        $each, 10, 'stop', 'H2 is 10.000 mm off what its length says: T2 measures 218.600 mm.', null, $measured([-248.2, -251.4, -219.75]),
    ],
    'a little off' => [
        $each, 10, 'caution', 'H2 is 0.300 mm off what its length says: T2 measures 218.600 mm.', null, $measured([-248.2, -241.1, -219.75]),
    ],
    'from the gauge line H is L' => [
        'G0 X1.', 5, 'stop', 'H1 is 8.200 mm off what its length says: T1 measures 211.800 mm.', null,
        ['workOffsets' => ['G54' => ['Z' => -450]]] + $measured([220, 218.6, 240.25], 'gauge-line'),
    ],
    'of two nobody can say which' => [
        $two, 10, 'caution', 'H1 and H2 are 10.000 mm off each other, by the lengths of T1 and T2.', null, $measured([-248.2, -251.4, -219.75]),
    ],
    'holder and stick-out tell a swap' => [
        $each, 10, 'caution', 'H2 is 10.000 mm off what its length says: holder and stick-out of T2 come to 100.000 mm.', null, $assembled(40),
    ],
]);

CheckCases::staysQuiet('offsets.length-disagrees', [
    'all agree' => [$each, $measured([-248.2, -241.4, -219.75])],
    'relative to a master tool they agree as well' => [$each, $measured([0, 6.8, 28.45], 'master-tool')],
    'holder and stick-out are good to 3 mm' => [$each, $assembled(52.5)],
    'and just to that' => [$each, $assembled(53)],
    'a school that is not specified' => [$each, ['lengthSchool' => null] + $measured([-248.2, -251.4, -219.75])],
    'two that agree' => [$two, $measured([-248.2, -241.4, -219.75])],
    'two that differ by no more than they may' => [$two, $measured([-248.2, -241.55, -219.75])],
    'an offset that runs under another tool on its way in alone' => ["G0 Z50.\nT2 M6\nG54 G0 X0. Y0.", $measured([-248.2, -100, -219.75])],
    'no length known besides' => [$each, ['offsets' => ['H' => ['1' => -250, '2' => -251.4, '3' => -240]]]],
]);

it('says what it should be, and how sure that is', function (array $changes, array $severities, array $remedies) use ($each): void {
    $found = Bench::findings('offsets.length-disagrees', Bench::verify(Bench::sound($each), $changes));
    expect(array_map(static fn (Finding $finding): string => $finding->severity->value, $found))->toBe($severities)
        ->and(array_map(Bench::remedy(...), $found))->toBe($remedies)
        ->and(array_map(static fn (Finding $finding): ?string => $finding->field, $found))->toBe(array_fill(0, count($found), 'offsets.H.2'));
})->with([
    'measured' => [
        $measured([-248.2, -251.4, -219.75]), ['stop'], ['By its length, H2 is −241.400 mm. Touch T2 off again, or correct its length.'],
    ],
    'measured, off by no more than a slip of the gauge' => [
        $measured([-248.2, -243.3, -219.75]), ['caution'], ['By its length, H2 is −241.400 mm. Touch T2 off again, or correct its length.'],
    ],
    'measured, a fifth of a millimetre' => [$measured([-248.2, -241.59, -219.75]), [], []],
    'assembled' => [$assembled(40), ['caution'], ['By its length, H2 is about −240.000 mm. Touch T2 off again, or correct its length.']],
    'assembled, a long way off' => [$assembled(90), ['caution'], ['By its length, H2 is about −190.000 mm. Touch T2 off again, or correct its length.']],
]);
