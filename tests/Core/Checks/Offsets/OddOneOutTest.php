<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('offsets.odd-one-out', [
    ['G0 X1.', 5, 'caution', ['offsets' => ['H' => ['1' => 250]]]],
    ['G0 X1.', 5, 'caution', ['lengthSchool' => 'gauge-line', 'machine' => ['axes' => ['Z' => ['min' => -900]]]]],
    ['G0 X1.', 5, 'caution', ['offsets' => ['H' => ['1' => -25]]]],
]);

CheckCases::staysQuiet('offsets.odd-one-out', [
    ['G0 X1.'],
]);
