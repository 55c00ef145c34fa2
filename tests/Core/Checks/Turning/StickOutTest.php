<?php

declare(strict_types=1);

use OakTrace\Core\Formulas\Cantilever;
use Tests\Core\LatheCases;

LatheCases::raises('turning.stick-out', [
    'long for its diameter' => [
        LatheCases::READY.'G0 X44. Z2.', 1, 'caution', 'The bar stands 92.000 mm out of the jaws: 5.75 times its diameter. 100 N at its end bend it 0.038 mm.',
        ['stock' => ['diameter' => 16, 'length' => 120, 'face' => 0], 'chuck' => ['jawFaceZ' => -92]],
    ],
    'far too long' => [
        LatheCases::READY.'G0 X44. Z2.', 1, 'stop', 'The bar stands 97.000 mm out of the jaws: 6.06 times its diameter. 100 N at its end bend it 0.045 mm.',
        ['stock' => ['diameter' => 16, 'length' => 120, 'face' => 0], 'chuck' => ['jawFaceZ' => -97]],
    ],
    'too long for a centre' => [
        LatheCases::READY.'G0 X44. Z2.', 1, 'caution',
        'The bar stands 162.000 mm out of the jaws: 10.13 times its diameter. 100 N in its middle bend it 0.006 mm.',
        ['stock' => ['diameter' => 16, 'length' => 180, 'face' => 0], 'chuck' => ['jawFaceZ' => -162], 'tailstock' => ['mouth' => 4, 'quillDiameter' => 12]],
    ],
    'with a tailstock that stands back' => [
        LatheCases::READY.'G0 X44. Z2.', 1, 'stop', 'The bar stands 97.000 mm out of the jaws: 6.06 times its diameter. 100 N at its end bend it 0.045 mm.',
        ['stock' => ['diameter' => 16, 'length' => 120, 'face' => 0], 'chuck' => ['jawFaceZ' => -97], 'tailstock' => ['retracted' => true]],
    ],
    'just over four times' => [
        LatheCases::READY.'G0 X44. Z2.', 1, 'caution',
        'The bar stands 64.100 mm out of the jaws: 4.01 times its diameter. 100 N at its end bend it 0.013 mm.',
        ['stock' => ['diameter' => 16, 'length' => 120, 'face' => 0], 'chuck' => ['jawFaceZ' => -64.1]],
    ],
    'six times' => [
        LatheCases::READY.'G0 X44. Z2.', 1, 'caution',
        'The bar stands 96.000 mm out of the jaws: 6.00 times its diameter. 100 N at its end bend it 0.044 mm.',
        ['stock' => ['diameter' => 16, 'length' => 120, 'face' => 0], 'chuck' => ['jawFaceZ' => -96]],
    ],
    'just over ten times, with a centre' => [
        LatheCases::READY.'G0 X44. Z2.', 1, 'caution',
        'The bar stands 160.100 mm out of the jaws: 10.01 times its diameter. 100 N in its middle bend it 0.006 mm.',
        ['stock' => ['diameter' => 16, 'length' => 180, 'face' => 0], 'chuck' => ['jawFaceZ' => -160.1], 'tailstock' => ['mouth' => 4, 'quillDiameter' => 12]],
    ],
]);

LatheCases::staysQuiet('turning.stick-out', [
    'four times its diameter' => [
        LatheCases::READY.'G0 X44. Z2.', ['stock' => ['diameter' => 16, 'length' => 120, 'face' => 0], 'chuck' => ['jawFaceZ' => -64]],
    ],
    'ten times its diameter, with a centre' => [
        LatheCases::READY.'G0 X44. Z2.',
        ['stock' => ['diameter' => 16, 'length' => 180, 'face' => 0], 'chuck' => ['jawFaceZ' => -160], 'tailstock' => ['mouth' => 4, 'quillDiameter' => 12]],
    ],
    'between centres' => [
        LatheCases::READY.'G0 X44. Z2.',
        ['stock' => ['diameter' => 16, 'length' => 120, 'face' => 0], 'chuck' => ['kind' => 'between-centres', 'jawFaceZ' => -110]],
    ],
]);

it('bends a bar as statics has it', function (float $diameter, float $length, float $modulus, float $free, ?float $borne): void {
    expect(Cantilever::deflection(100.0, $length, 0.0, $diameter, $diameter, $modulus))->toEqualWithDelta($free, 5e-4);
    if ($borne !== null) {
        expect(Cantilever::borne(100.0, $length, $diameter, $modulus))->toEqualWithDelta($borne, 5e-4);
    }
})->with([
    // F L³ / (3 E I): Ø10 × 60 under 100 N 0.070, with a centre 0.002; a bar of 16 at 4 D 0.013, at 7 D 0.069, of carbide 0.024.
    [10.0, 60.0, Cantilever::HIGH_SPEED_STEEL, 0.070, 0.002], [16.0, 64.0, Cantilever::HIGH_SPEED_STEEL, 0.013, null],
    [16.0, 112.0, Cantilever::HIGH_SPEED_STEEL, 0.069, null], [16.0, 112.0, Cantilever::CARBIDE, 0.024, null],
]);
