<?php

declare(strict_types=1);

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('cutting.surface-speed', [
    // 10 mm at S3000 is 94 m/min (pi times diameter times speed).
    [
        'G1 Z24. F100.', 4, 'caution', 'T1 cuts at 188 m/min with 3000 rev/min on 20.000 mm: titanium alloy is cut at 6 m/min to 180 m/min.', null,
        ['material' => 'titanium alloy', 'tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 20]]],
    ],
    [
        "S400\nG1 Z24. F100.", 6, 'caution', 'T1 cuts at 13 m/min with 400 rev/min on 10.000 mm: aluminium is cut at 15 m/min to 1200 m/min.', null,
        ['material' => 'aluminium'],
    ],
    [
        'G1 Z24. F100.', 4, 'caution', 'T1 cuts at 94 m/min with 3000 rev/min on 10.000 mm: aluminium is cut at 100 m/min to 200 m/min.', null,
        ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'surfaceSpeed' => [100, 200]]]],
    ],
    'once for a tool' => [
        "S400\nG1 Z24. F100.\nF110.\nX1.", 6, 'caution', 'T1 cuts at 13 m/min with 400 rev/min on 10.000 mm: aluminium is cut at 15 m/min to 1200 m/min.', null,
    ],
]);

CheckCases::staysQuiet('cutting.surface-speed', [
    'over the limit of the spindle, which is told' => [
        "S19000\nG1 Z24. F100.", ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'surfaceSpeed' => [50, 90]]]],
    ],
    'the spindle stopped, which is told' => ["M5\nS400\nG1 Z24. F100."],
    ['G1 Z24. F100.', ['material' => 'titanium alloy']],
    ['G1 Z24. F100.', ['material' => 'aluminium']],
    ['G1 Z24. F100.', ['material' => 'unobtainium']],
    ['G1 Z24. F100.', ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'surfaceSpeed' => [90, 200]]]]],
]);

it('knows how fast each is cut, by material and kind of tool', function (string $material, string $kind, ?string $range): void {
    $run = Bench::verify(Bench::sound("S1 M3\nG1 Z24. F.1"), ['material' => $material, 'tools' => [
        ['number' => 1, 'kind' => $kind, 'diameter' => 10, 'flutes' => 2] + ($kind === 'bull-mill' ? ['cornerRadius' => 1] : []),
    ]]);
    $found = Bench::findings('cutting.surface-speed', $run);
    $says = $found === [] ? null : (new Wording(Units::Millimetre))->text($found[0]);
    expect($says === null ? null : substr($says, (int) strpos($says, ': ') + 2))->toBe($range);
})->with([
    ['aluminium', 'end-mill', 'aluminium is cut at 15 m/min to 1200 m/min.'], ['aluminium', 'ball-mill', 'aluminium is cut at 15 m/min to 1200 m/min.'],
    ['aluminium', 'bull-mill', 'aluminium is cut at 15 m/min to 1200 m/min.'], ['aluminium', 'face-mill', 'aluminium is cut at 15 m/min to 1200 m/min.'],
    ['aluminium', 'drill', 'aluminium is cut at 8 m/min to 600 m/min.'], ['aluminium', 'boring-bar', 'aluminium is cut at 15 m/min to 1800 m/min.'],
    ['aluminium', 'tap', null], ['aluminium', 'reamer', null],
    ['free-cutting brass', 'end-mill', 'free-cutting brass is cut at 10 m/min to 500 m/min.'],
    ['acetal', 'end-mill', 'acetal is cut at 15 m/min to 1000 m/min.'],
    ['stainless steel', 'end-mill', 'stainless steel is cut at 6 m/min to 180 m/min.'],
    ['grey cast iron', 'end-mill', 'grey cast iron is cut at 10 m/min to 300 m/min.'],
    ['tool steel', 'end-mill', 'tool steel is cut at 5 m/min to 250 m/min.'], ['mild steel', 'drill', 'mild steel is cut at 5 m/min to 175 m/min.'],
]);
