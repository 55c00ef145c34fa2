<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

// An M16 tap in a hole of some size.
$drilled = static fn (float $diameter): array => [
    'tools' => [
        ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10], ['number' => 2, 'kind' => 'drill', 'diameter' => $diameter],
        ['number' => 4, 'kind' => 'tap', 'diameter' => 16, 'pitch' => 2],
    ],
    'offsets' => ['H' => ['4' => -220]],
];
$tapped = "G0 Z50.\nT2 M6\nS900 M3\nG54 G0 X0. Y0.\nG43 H2 Z25.\nG98 G83 X0. Y0. Z-22. R2. Q3. F100.\nX25.\nG80\n"
    ."G0 Z50.\nT4 M6\nS300 M3\nG54 G0 X0. Y0.\nG43 H4 Z25.\nG98 G84 X0. Y0. Z-14. R5. F600.\nX25.\nG80";
// One hole drilled 22 deep, then tapped or reamed.
$sized = static fn (float $drill, string $kind): array => ['tools' => [
    ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10], ['number' => 2, 'kind' => 'drill', 'diameter' => $drill],
    ['number' => 4, 'kind' => $kind, 'diameter' => 6] + ($kind === 'tap' ? ['pitch' => 1] : []),
], 'offsets' => ['H' => ['4' => -220]]];
$small = static fn (string $cycle, string $feed): string => "G0 Z50.\nT2 M6\nS900 M3\nG54 G0 X0. Y0.\nG43 H2 Z25.\nG98 G83 X0. Y0. Z-22. R2. Q3. F100.\n"
    ."G80\nG0 Z50.\nT4 M6\nS300 M3\nG54 G0 X0. Y0.\nG43 H4 Z25.\nG98 {$cycle} X0. Y0. Z-14. R5. F{$feed}\nG80";

CheckCases::raises('cutting.hole-too-large', [
    'a hole as large as the tap' => [
        $tapped, [19, 20], 'stop', 'T4 of Ø16.000 mm finds a hole of at least Ø16.000 mm: hardly any thread is left.', null, $drilled(16.0),
    ],
    'a larger one' => [$tapped, [19, 20], 'stop', 'T4 of Ø16.000 mm finds a hole of at least Ø17.000 mm: hardly any thread is left.', null, $drilled(17.0)],
    'one that was milled' => [
        "X3.2 Y0.\nZ2.\nG1 Z0. F100.\nG3 I-3.2 Z-4. F300.\nG3 I-3.2 Z-8.\nG3 I-3.2 Z-12.\nG3 I-3.2 Z-16.\nG3 I-3.2 Z-20.\nG3 I-3.2\nG1 X0. Y0.\nG0 Z50.\n"
            ."T4 M6\nS300 M3\nG54 G0 X0. Y0.\nG43 H4 Z25.\nG98 G84 X0. Y0. Z-14. R5. F600.\nG80", 21, 'stop',
        'T4 of Ø16.000 mm finds a hole of at least Ø15.000 mm: hardly any thread is left.', null, $drilled(14.0),
    ],
    'too small for the cells to tell' => [
        $small('G84', '300.'), 18, 'stop', 'T4 of Ø6.000 mm finds a hole of at least Ø5.700 mm: hardly any thread is left.', null, $sized(5.7, 'tap'),
    ],
    'through the part, the tap as deep as the point of the drill' => [
        str_replace(['Z-22.', 'Z-14.'], ['Z-4.', 'Z-4.'], $small('G84', '300.')), 18, 'stop',
        'T4 of Ø6.000 mm finds a hole of at least Ø5.700 mm: hardly any thread is left.', null,
        ['stock' => ['min' => [-50, -40, -2], 'max' => [50, 40, 0]]] + $sized(5.7, 'tap'),
    ],
    'of a reamer' => [
        $small('G85', '60.'), 18, 'stop', 'T4 of Ø6.000 mm finds a hole of Ø6.000 mm: nothing is left to ream.', null, $sized(6.0, 'reamer'),
    ],
]);

CheckCases::staysQuiet('cutting.hole-too-large', [
    'the hole of its drill' => [$tapped, $drilled(14.0)],
    'drilled a little large' => [$tapped, $drilled(14.4)],
    'as large as a tap that forms its thread may want it' => [$small('G84', '300.'), $sized(5.6, 'tap')],
    'counterbored above' => ["G98 G81 X0. Y0. Z-5. R2. F100.\nG80\n".$small('G84', '300.'), $sized(5.0, 'tap')],
    'something left to ream' => [$small('G85', '60.'), $sized(5.8, 'reamer')],
    'reamed in two steps' => [str_replace('G98 G85', "G98 G85 X0. Y0. Z-8. R5. F60.\nG85", $small('G85', '60.')), $sized(5.8, 'reamer')],
    'no hole at all' => ["G0 Z50.\nT4 M6\nS300 M3\nG54 G0 X0. Y0.\nG43 H4 Z25.\nG98 G84 X0. Y0. Z-14. R5. F600.\nG80", $drilled(16.0)],
    'beside the part' => ["G0 Z50.\nT4 M6\nS300 M3\nG54 G0 X90. Y0.\nG43 H4 Z25.\nG98 G84 X90. Y0. Z-14. R5. F600.\nG80", $drilled(16.0)],
]);

it('names every hole', function () use ($tapped, $drilled): void {
    $found = Bench::findings('cutting.hole-too-large', Bench::verify(Bench::sound($tapped), $drilled(16.0)));
    expect($found)->toHaveCount(1)->and([$found[0]->line, $found[0]->alsoAt, Bench::remedy($found[0])])
        ->toBe([19, [20], 'Drill it smaller: diameter less pitch, Ø14.000 mm, is usual. Is the right drill called?']);
});

it('says what to do for a reamer', function () use ($small, $sized): void {
    $found = Bench::findings('cutting.hole-too-large', Bench::verify(Bench::sound($small('G85', '60.')), $sized(6.2, 'reamer')));
    expect(Bench::remedy($found[0]))->toBe('Drill it smaller than the reamer. Is the right drill called?');
});
