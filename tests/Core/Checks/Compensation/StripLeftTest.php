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
    'from the right' => [
        "G0 X75. Y-75.\nZ2.\nG1 Z-3. F200.\nG42 D1 X65. Y-39. F400.\nX-60.\nG40 X-75. Y-75.\nG0 Z25.", 10, 'caution',
        'T1 cuts at full width along this outline, and leaves a strip of 1.000 mm on the other side of the line.', null,
    ],
    'round a corner of it' => [alongFront('G41', '-39.', "X49.\nY60.\n"), 10, 'caution', 'T1 cuts at full width along this outline, and leaves a strip of '
        .'1.000 mm on the other side of the line.', null],
    'mirrored, where left is right' => ["G51.1 X0.\n".alongFront('G41', '-39.').'G50.1 X0.', 11, 'caution', 'T1 cuts at full width along this outline, '
        .'and leaves a strip of 1.000 mm on the other side of the line.', null],
]);

CheckCases::staysQuiet('compensation.strip-left', [
    'the front of the plate' => [alongFront('G42', '-39.')],
    'a slot with a wall of 2.6 beside it' => [alongFront('G41', '-37.4')],
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
