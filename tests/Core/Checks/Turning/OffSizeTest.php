<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Gaps;
use OakTrace\Core\Formats\SetupFileError;
use Tests\Core\Bench;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

/** @param  array<string, mixed>  $size */
function wanting(array $size, array $target = []): array
{
    return ['target' => $target + ['turned' => [['name' => 'journal'] + $size]], 'offsets' => ['T' => ['1' => ['R' => 0.4]]]];
}

const JOURNAL = ['kind' => 'diameter', 'from' => -30, 'to' => 0, 'diameter' => 36, 'tolerance' => [-0.025, 0]];
const TURNED_TO = LatheCases::READY."G0 X44. Z0.\nG1 X-0.8 F0.1\nG0 Z2.\nX%s\nG1 Z-%s F0.1\nG0 X44.";

LatheCases::raises('turning.off-size', [
    'a diameter that is too large' => [sprintf(TURNED_TO, '36.1', '30.'), 9, 'caution',
        'journal comes out Ø36.100 mm; the drawing has Ø36.000 mm, from Ø35.975 mm to Ø36.000 mm.', wanting(JOURNAL),
    ],
    'too small, which is scrap' => [sprintf(TURNED_TO, '35.9', '30.'), 9, 'stop',
        'journal comes out Ø35.900 mm; the drawing has Ø36.000 mm, from Ø35.975 mm to Ø36.000 mm.', wanting(JOURNAL),
    ],
    'a shoulder too far down' => [sprintf(TURNED_TO, '36.', '30.5'), 9, 'stop',
        'journal comes out Z−30.500 mm; the drawing has Z−30.000 mm, from −30.100 mm to −29.900 mm.',
        wanting(['kind' => 'face', 'at' => -30, 'diameter' => 38]),
    ],
    'a face that was not cut' => ["G21 G99\nT0101\nG97 S800 M3\nG0 X36. Z2.\nG1 Z-30. F0.1\nG0 X44.", 1, 'caution',
        'journal comes out Z1.000 mm; the drawing has Z0.000 mm, from −0.100 mm to 0.100 mm.', wanting(['kind' => 'face', 'at' => 0, 'diameter' => 20]),
    ],
    // A nose of 0.4 keeps 0.2343 of the leg of a chamfer that is cut without compensation (geometry).
    'a small chamfer without compensation' => [
        LatheCases::READY."G0 X44. Z0.\nG1 X-0.8 F0.1\nG0 Z1.\nX35.\nG1 Z0. F0.1\nX36. Z-0.5\nZ-30.\nG0 X44.", 10, 'caution',
        'journal comes out 0.275 mm; the drawing has 0.500 mm, from 0.450 mm to 0.550 mm.',
        wanting(['kind' => 'corner', 'at' => 0, 'diameter' => 36, 'chamfer' => 0.5, 'tolerance' => 0.05]),
    ],
    'a profile, where it was cut' => [sprintf(TURNED_TO, '35.6', '30.'), 9, 'stop',
        'journal is cut 0.200 mm too deep at Z−29.000 mm, Ø35.600 mm; 0.050 mm may be.',
        wanting(['kind' => 'profile', 'points' => [[-29, 36], [0, 36]], 'tolerance' => 0.05]),
    ],
    'a bore that is too large' => ["G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z2.\nG1 Z-30. F0.1\nG0 Z2.", 5, 'stop',
        'journal comes out Ø8.000 mm; the drawing has Ø7.800 mm, from Ø7.700 mm to Ø7.900 mm.',
        wanting(['kind' => 'bore', 'from' => -20, 'to' => -2, 'diameter' => 7.8]),
    ],
]);

LatheCases::staysQuiet('turning.off-size', [
    'as drawn' => [sprintf(TURNED_TO, '35.99', '30.'), wanting(JOURNAL)],
    'a face as drawn' => [sprintf(TURNED_TO, '36.', '30.'), wanting(['kind' => 'face', 'at' => -30, 'diameter' => 38, 'tolerance' => 0.02])],
    'on a part that is off the bar' => [
        sprintf(TURNED_TO, '35.99', '40.')."\nG28 U0 W0\nT0404\nG97 S500\nG0 X46. Z-35.\nG1 X0. F0.05\nG0 X46.", wanting(JOURNAL),
    ],
    'an edge that is broken' => [sprintf(TURNED_TO, '35.99', '30.')."\nZ2.\nX33.\nG1 X36. Z-0.4 F0.1\nG0 X44.", wanting(JOURNAL, ['edges' => 0.5])],
]);

it('says so where it could not measure', function (): void {
    $changes = array_replace_recursive(wanting(JOURNAL), ['tools' => [0 => ['kind' => 'probe']]]);
    expect(LatheCases::gaps(sprintf(TURNED_TO, '36.', '30.')."\nG28 U0 W0", $changes))
        ->toContain('The stock could not be cut to its end: the sizes of the drawing were not measured.');
});

it('says so where the sizes are those of a part of another machine', function (): void {
    $turned = wanting(JOURNAL)['target'];
    $plate = ['features' => [['kind' => 'hole', 'at' => [0, 0], 'diameter' => 8, 'through' => true]]];
    $gaps = array_column(Gaps::of(Bench::verify(Bench::sound('G0 X1.'), [
        'stock' => ['shape' => 'box', 'min' => [-40, -40, -40], 'max' => [40, 40, 0]], 'target' => $turned,
    ])->input), 'text');
    expect($gaps)->toContain('The drawing sizes are those of a turned part: they were not measured.')
        ->and(LatheCases::gaps("G21\nM30", ['target' => $plate]))->toContain('The drawing sizes are those of a milled part: they were not measured.');
});

it('names the field a size lacks', function (array $size, string $field): void {
    try {
        Lathe::setup(array_replace_recursive(LatheCases::BAR, ['target' => ['turned' => [$size]]]));
    } catch (SetupFileError $error) {
        expect(array_keys($error->fields))->toBe([$field]);
    }
    expect($error ?? null)->not->toBeNull();
})->with([
    'a face' => [['kind' => 'face', 'diameter' => 20], 'target.turned.0.at'],
    'a bore' => [['kind' => 'bore', 'diameter' => 20, 'from' => -9], 'target.turned.0.to'],
]);

it('refuses a size outside the stock', function (array $size): void {
    expect(fn () => Lathe::setup(array_replace_recursive(LatheCases::BAR, wanting($size))))
        ->toThrow(SetupFileError::class, 'This size lies outside the stock.');
})->with([
    'longer' => [['to' => 3] + JOURNAL], 'thicker' => [['diameter' => 41] + JOURNAL],
    'a face behind the bar' => [['kind' => 'face', 'at' => -90, 'diameter' => 20]],
]);
