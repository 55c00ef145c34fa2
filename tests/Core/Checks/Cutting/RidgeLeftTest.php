<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

/** A plate of 100 × 80 with 1 mm on its face, and a face mill of 40 that takes it off in two passes. */
$raw = ['tools' => [['number' => 1, 'kind' => 'face-mill', 'diameter' => 40, 'flutes' => 4], ['number' => 2, 'kind' => 'end-mill', 'diameter' => 20]],
    'offsets' => ['H' => ['2' => -230]], 'stock' => ['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 1], 'workOffset' => 'G54']];
$faced = static fn (float $one, float $other, string $then = ''): string => "G0 X-80. Y{$one}\nZ2.\nG1 Z0. F300.\nX80. F900.\nG0 Y{$other}\nG1 X-80. F900.\n"
    ."G0 Z25.{$then}";

CheckCases::raises('cutting.ridge-left', [
    'a few millimetres' => [
        $faced(-20.0, 23.0), [11, 9], 'caution',
        'T1 leaves a ridge 3.000 mm wide and 1.000 mm high: its passes lie 43.000 mm apart, and it is Ø40.000 mm.', null, $raw,
    ],
    'the far pass first' => [
        $faced(23.0, -20.0), [11, 9], 'caution',
        'T1 leaves a ridge 3.000 mm wide and 1.000 mm high: its passes lie 43.000 mm apart, and it is Ø40.000 mm.', null, $raw,
    ],
    'the first of two ridges, from the front' => [
        $faced(-20.0, 23.0, "\nX-80. Y65.\nZ2.\nG1 Z0. F300.\nX80. F900.\nG0 Z25."), [11, 9], 'caution',
        'T1 leaves a ridge 3.000 mm wide and 1.000 mm high: its passes lie 43.000 mm apart, and it is Ø40.000 mm.', null,
        array_replace_recursive($raw, ['stock' => ['max' => [50, 80, 1]]]),
    ],
    'along Y' => [
        "G0 X-20. Y-70.\nZ2.\nG1 Z0. F300.\nY70. F900.\nG0 X22.\nG1 Y-70. F900.\nG0 Z25.", [11, 9], 'caution',
        'T1 leaves a ridge 2.000 mm wide and 1.000 mm high: its passes lie 42.000 mm apart, and it is Ø40.000 mm.', null, $raw,
    ],
    'aslant' => [
        "G0 X-70. Y-70.\nZ2.\nG1 Z0. F300.\nX70. Y70. F900.\nG0 X99.6985 Y40.3015\nG1 X-40.3015 Y-99.6985 F900.\nG0 Z25.", [11, 9], 'caution',
        'T1 leaves a ridge 2.000 mm wide and 1.000 mm high: its passes lie 42.000 mm apart, and it is Ø40.000 mm.', null, $raw,
    ],
]);

CheckCases::staysQuiet('cutting.ridge-left', [
    'passes that overlap' => [$faced(-20.0, 19.0), $raw],
    'passes that just meet' => [$faced(-20.0, 20.0), $raw],
    'a rib that is meant' => [$faced(-30.0, 24.0), $raw],
    'taken off by a third pass' => [$faced(-20.0, 23.0, "\nG0 X-80. Y2.\nZ2.\nG1 Z0. F300.\nX80. F900.\nG0 Z25."), $raw],
    'taken off by another tool' => [
        $faced(-20.0, 23.0, "\nG0 Z50.\nT2 M6\nS3000 M3\nG54 X-80. Y2.\nG43 H2 Z25.\nZ2.\nG1 Z0. F300.\nX80. F900.\nG0 Z25."), $raw,
    ],
    'at another height' => ["G0 X-80. Y-20.\nZ2.\nG1 Z0. F300.\nX80. F900.\nG0 Y23.\nG1 Z-.5 F300.\nX-80. F900.\nG0 Z25.", $raw],
    'where nothing stands' => [$faced(-20.0, 23.0), ['stock' => ['max' => [50, 40, 0]]] + $raw],
    'one behind the other' => ["G0 X-80. Y-20.\nZ2.\nG1 Z0. F300.\nX-10. F900.\nG0 Z2.\nX10. Y23.\nG1 Z0. F300.\nX80. F900.\nG0 Z25.", $raw],
    'an end mill' => [$faced(-20.0, 23.0), ['tools' => [['kind' => 'end-mill'] + $raw['tools'][0]]] + $raw],
    'at rapid' => ["G0 X-80. Y-20.\nZ2.\nG1 Z0. F300.\nX80. F900.\nG0 Z25.\nY23.\nX-80.", $raw],
]);

it('names the pass before it, and what to do', function () use ($faced, $raw): void {
    $found = Bench::findings('cutting.ridge-left', Bench::verify(Bench::sound($faced(-20.0, 23.0)), $raw));
    expect($found)->toHaveCount(1)
        ->and([$found[0]->alsoAt, Bench::remedy($found[0])])->toBe([[9], 'Bring the passes nearer to each other than the diameter.']);
});
