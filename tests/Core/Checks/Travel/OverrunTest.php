<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('travel.overrun', [
    ['G0 Y250.', 6, 'stop', 'Y runs past its plus limit of 0.000 mm: furthest 50.000 mm, 50.000 mm too far, on line 6.', null],
    ['G0 X-500.', 6, 'stop', 'X runs past its minus limit of −760.000 mm: furthest −900.000 mm, 140.000 mm too far, on line 6.', null],
    ['G53 G0 Z10.', 6, 'stop', 'Z runs past its plus limit of 0.000 mm: furthest 10.000 mm, 10.000 mm too far, on line 6.', null],
    ["G0 X395.\nG2 X395. Y-20. I0. J-10. F100.", 7, 'stop', 'X runs past its plus limit of 0.000 mm: furthest 5.000 mm, 5.000 mm too far, on line 7.', null],
]);

CheckCases::staysQuiet('travel.overrun', [
    ['G0 Y200.'],
    ['G0 X-360.'],
    ['G53 G0 Z0.'],
    ["G0 X340.\nG2 X360. R10. F100."],
]);

it('asks after the one number that nothing else comes near, and after the offset where more does', function (string $lines, string $remedy): void {
    expect(Bench::verify(Bench::sound($lines))->findings[0]->remedy)->toContain($remedy);
})->with([
    'a digit too many' => ["G0 X10. Y10.\nX590.\nX10.", 'Nothing else of the program goes that far: is {axis}590. on this line right?'],
    'a little past' => ["G0 X10. Y10.\nY203.\nX20.", '{fitMin}'],
]);
