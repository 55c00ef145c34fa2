<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.stick-out', [
    'long for its diameter' => [
        LatheCases::READY.'G0 X44. Z2.', 1, 'caution', 'The bar stands 92.000 mm out of the jaws: 5.75 times its diameter.',
        ['stock' => ['diameter' => 16, 'length' => 120, 'face' => 0], 'chuck' => ['jawFaceZ' => -92]],
    ],
    'far too long' => [
        LatheCases::READY.'G0 X44. Z2.', 1, 'stop', 'The bar stands 97.000 mm out of the jaws: 6.06 times its diameter.',
        ['stock' => ['diameter' => 16, 'length' => 120, 'face' => 0], 'chuck' => ['jawFaceZ' => -97]],
    ],
    'too long for a centre' => [
        LatheCases::READY.'G0 X44. Z2.', 1, 'caution', 'The bar stands 162.000 mm out of the jaws: 10.13 times its diameter.',
        ['stock' => ['diameter' => 16, 'length' => 180, 'face' => 0], 'chuck' => ['jawFaceZ' => -162], 'tailstock' => ['mouth' => 4, 'quillDiameter' => 12]],
    ],
    'with a tailstock that stands back' => [
        LatheCases::READY.'G0 X44. Z2.', 1, 'stop', 'The bar stands 97.000 mm out of the jaws: 6.06 times its diameter.',
        ['stock' => ['diameter' => 16, 'length' => 120, 'face' => 0], 'chuck' => ['jawFaceZ' => -97], 'tailstock' => ['retracted' => true]],
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
]);
