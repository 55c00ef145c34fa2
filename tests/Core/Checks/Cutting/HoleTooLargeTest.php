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

CheckCases::raises('cutting.hole-too-large', [
    'a hole as large as the tap' => [
        $tapped, 19, 'stop', 'T4 of Ø16.000 mm finds a hole of more than Ø15.000 mm: hardly any thread is left.', null, $drilled(16.0),
    ],
    'a larger one' => [$tapped, 19, 'stop', 'T4 of Ø16.000 mm finds a hole of more than Ø15.000 mm: hardly any thread is left.', null, $drilled(17.0)],
]);

CheckCases::staysQuiet('cutting.hole-too-large', [
    'the hole of its drill' => [$tapped, $drilled(14.0)],
    'drilled a little large' => [$tapped, $drilled(14.4)],
    'no hole at all' => ["G0 Z50.\nT4 M6\nS300 M3\nG54 G0 X0. Y0.\nG43 H4 Z25.\nG98 G84 X0. Y0. Z-14. R5. F600.\nG80", $drilled(16.0)],
    'beside the part' => ["G0 Z50.\nT4 M6\nS300 M3\nG54 G0 X90. Y0.\nG43 H4 Z25.\nG98 G84 X90. Y0. Z-14. R5. F600.\nG80", $drilled(16.0)],
]);

it('names every hole', function () use ($tapped, $drilled): void {
    $found = Bench::findings('cutting.hole-too-large', Bench::verify(Bench::sound($tapped), $drilled(16.0)));
    expect($found)->toHaveCount(1)->and([$found[0]->line, $found[0]->alsoAt, Bench::remedy($found[0])])
        ->toBe([19, [20], 'Drill it smaller: diameter less pitch, Ø14.000 mm, is usual. Is the right drill called?']);
});
