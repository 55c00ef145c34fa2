<?php

declare(strict_types=1);

use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;
use Tests\Core\SoundPrograms;

// The plate is 100 × 80: its sides at X-50, X50, Y-40 and Y40. The cutter is one of 10.

/** Along the front of the plate, from the left, at a distance from its middle. */
function alongFront(string $side, string $y, string $more = ''): string
{
    return "G0 X-75. Y-75.\nZ2.\nG1 Z-3. F200.\n{$side} D1 X-65. Y{$y} F400.\nX60.\n{$more}G40 X75. Y-75.\nG0 Z25.";
}

CheckCases::raises('compensation.strip-left', [
    'the front of the plate, cut on its inner side' => [alongFront('G41', '-39.'), 10, 'caution', 'T1 cuts at full width along this outline, and leaves a '
        .'strip of 1.000 mm on the other side of the line.', null],
    'the same on the very side of it' => [
        alongFront('G41', '-40.'), 10, 'caution', 'T1 cuts at full width along this outline, and nothing is left on the other side of the line.',
        null,
    ],
    'where it goes down on the outline' => [
        "G0 X-75. Y-75.\nZ2.\nG41 D1 G1 X-65. Y-39. F400.\nZ-3. F200.\nX60. F400.\nG40 X75. Y-75.\nG0 Z25.", 10, 'caution',
        'T1 cuts at full width along this outline, and leaves a strip of 1.000 mm on the other side of the line.', null,
    ],
    'from the right' => [
        "G0 X75. Y-75.\nZ2.\nG1 Z-3. F200.\nG42 D1 X65. Y-39. F400.\nX-60.\nG40 X-75. Y-75.\nG0 Z25.", 10, 'caution',
        'T1 cuts at full width along this outline, and leaves a strip of 1.000 mm on the other side of the line.', null,
    ],
    'round a corner of it' => [alongFront('G41', '-39.', "X49.\nY60.\n"), 10, 'caution', 'T1 cuts at full width along this outline, and leaves a strip of '
        .'1.000 mm on the other side of the line.', null],
    'wherever the part is set' => [alongFront('G41', '-39.'), 10, 'caution', 'T1 cuts at full width along this outline, and leaves a strip of 1.000 mm on '
        .'the other side of the line.', null, ['workOffsets' => ['G54' => ['X' => -380.3, 'Y' => -213.7, 'Z' => -15]]]],
    'along another side, from the back' => [
        "G0 X75. Y75.\nZ2.\nG1 Z-3. F200.\nG42 D1 X49. Y45. F400.\nY-40.\nG40 X75. Y-75.\nG0 Z25.", 10, 'caution',
        'T1 cuts at full width along this outline, and nothing is left on the other side of the line.', null, ['stock' => ['max' => [49, 40, 0]]],
    ],
    'askew' => [
        "G68 X0. Y0. R90.\nG0 X-75. Y-75.\nZ2.\nG1 Z-3. F200.\nG41 D1 X-45. Y-49. F400.\nX40.\nG40 X75. Y-75.\nG0 Z25.\nG69", 11, 'caution',
        'T1 cuts at full width along this outline, and leaves a strip of 1.000 mm on the other side of the line.', null,
    ],
    'with a corner of an arc' => [alongFront('G41', '-39.', "X41.\nG3 X49. Y-31. R8.\nG1 Y60.\n"), 10, 'caution', 'T1 cuts at full width along this '
        .'outline, and leaves a strip of 1.000 mm on the other side of the line.', null],
    'by a small cutter, of which half a radius is much' => [
        alongFront('G41', '-39.6'), 10, 'caution', 'T1 cuts at full width along this outline, and leaves a strip of 0.400 mm on the other side of the line.',
        null, ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 2]], 'offsets' => ['D' => ['1' => 2]]],
    ],
    'the second of two pieces' => [
        "G55\n".alongFront('G41', '-39.'), 11, 'caution',
        'T1 cuts at full width along this outline, and leaves a strip of 1.000 mm on the other side of the line.',
        null, [
            'workOffsets' => ['G55' => ['X' => -250, 'Y' => -200, 'Z' => 0]],
            'moreStock' => [['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0], 'workOffset' => 'G55']],
        ],
    ],
    'mirrored, where left is right' => ["G51.1 X0.\n".alongFront('G41', '-39.').'G50.1 X0.', 11, 'caution', 'T1 cuts at full width along this outline, '
        .'and leaves a strip of 1.000 mm on the other side of the line.', null],
]);

CheckCases::staysQuiet('compensation.strip-left', [
    'the front of the plate' => [alongFront('G42', '-39.')],
    'a slot with a wall of 2.6 beside it' => [alongFront('G41', '-37.4')],
    'a small cutter, and a wall of more than half its radius' => [
        alongFront('G41', '-39.4'), ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 2]], 'offsets' => ['D' => ['1' => 2]]],
    ],
    'a wall a little thicker than a strip' => [alongFront('G41', '-37.9')],
    'a slope along it' => [str_replace('X60.', 'X60. Z-4.', alongFront('G41', '-39.'))],
    'mostly a pocket, with one side along the front' => [
        "G0 X0. Y0.\nZ2.\nG1 Z-3. F200.\nG41 D1 X20. Y-10. F400.\nY20.\nX-20.\nY-39.\nX20.\nY-10.\nG40 X0. Y0.\nG0 Z25.",
    ],
    'a step along the front' => [alongFront('G42', '-32.')],
    'above the plate' => [str_replace('Z-3.', 'Z0.5', alongFront('G41', '-39.'))],
    'beside the plate' => [alongFront('G41', '-60.')],
    'a short way out of the side of a pocket' => [
        "G0 X0. Y0.\nZ2.\nG1 Z-3. F200.\nG41 D1 X20. Y-10. F400.\nY20.\nX-20.\nY-39.\nX-8.\nY-10.\nG40 X0. Y0.\nG0 Z25.",
    ],
    'no stock' => [alongFront('G41', '-39.'), ['stock' => null]],
]);

it('says how wide the strip is', function (): void {
    $finding = array_values(
        array_filter(
            Bench::verify(CheckCases::programOf(alongFront('G41', '-38.75')))->findings,
            static fn (Finding $finding): bool => $finding->check === 'compensation.strip-left',
        ),
    )[0];
    expect($finding->figures['width'])->toBeInstanceOf(Quantity::class)->and(abs($finding->figures['width']->value - 1.25))->toBeLessThan(0.001);
});

it('is raised by no sound outline', function (): void {
    $tried = 0;
    foreach (SoundPrograms::all() as [$text, $changes]) {
        if (preg_match('/G4[12]/', $text) === 1) {
            $tried++;
            expect(Bench::names(Bench::verify($text, $changes)))->not->toContain('compensation.strip-left');
        }
    }
    expect($tried)->toBeGreaterThan(1);
});

it('is told as the wrong side where that is seen', function (): void {
    $round = "G0 X-75. Y0.\nZ2.\nG1 Z-3. F200.\nG42 D1 X-49. Y0. F400.\nY39.\nX49.\nY-39.\nX-49.\nY0.\nG40 X-75.\nG0 Z25.";
    expect(Bench::names(Bench::verify(Bench::sound($round))))->toContain('compensation.wrong-side')->not->toContain('compensation.strip-left');
});
