<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('travel.does-not-fit', [
    ["G0 Y-210.\nY210.", 7, 'stop', 'Y needs 420.000 mm of travel in G54 and the machine has 410.000 mm: 10.000 mm too little, wherever G54 is set.', null],
    ["G0 X-400.\nX400.", 6, 'stop', 'X needs 800.000 mm of travel in G54 and the machine has 760.000 mm: 40.000 mm too little, wherever G54 is set.', null],
]);

CheckCases::staysQuiet('travel.does-not-fit', [
    ["G0 Y-205.\nY200."],
]);

it('asks first after a number that alone goes too far', function (): void {
    $finding = Bench::verify(Bench::sound("G0 X10. Y10.\nX900.\nX20."))->findings[0];
    expect([$finding->check, $finding->remedy])->toBe(
        ['travel.does-not-fit', 'Is {axis}900. on line 7 right? If so, turn the part, split the job into two setups, or use a machine with more travel.'],
    );
});
