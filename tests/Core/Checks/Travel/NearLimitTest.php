<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('travel.near-limit', [
    ['G0 Y199.7', 6, 'caution', 'Y comes within 0.300 mm of its plus limit of 0.000 mm: −0.300 mm.', null],
    ["G0 X395.\nG2 X395. Y-9.8 I0. J-4.9 F100.", 7, 'caution', 'X comes within 0.100 mm of its plus limit of 0.000 mm: −0.100 mm.', null],
    ['G0 Y191.', 6, 'caution', 'Y comes within 9.000 mm of its plus limit of 0.000 mm: −9.000 mm.', null, ['nearLimit' => 10]],
]);

CheckCases::staysQuiet('travel.near-limit', [
    ['G0 Y199.4'],
    ['G53 G0 Z-.5'],
    ['G0 Y199.5', ['nearLimit' => 0.2]],
    ['G0 Y200.5'],
]);

it('says where nothing is to spare', function (string $line, string $text): void {
    expect(Bench::verify(Bench::sound($line))->findings[0]->text)->toContain($text);
})->with([
    'some' => ['G0 Y199.7', 'comes within {spare} of its plus limit'],
    'none' => ['G0 Y200.', 'goes right up to its plus limit of {limit}: nothing to spare.'],
]);
