<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('travel.does-not-fit', [
    ["G0 Y-210.\nY210.", 7, 'stop', 'Y needs 420.000 mm of travel in G54 and the machine has 410.000 mm: 10.000 mm too little, wherever G54 is set.', null],
    ["G0 X-400.\nX400.", 6, 'stop', 'X needs 800.000 mm of travel in G54 and the machine has 760.000 mm: 40.000 mm too little, wherever G54 is set.', null],
    'a digit too many, in a program that is called' => [
        "G0 X10.\nM98 P9", 2, 'stop', 'X needs 900.000 mm of travel in G54 and the machine has 760.000 mm: 140.000 mm too little, wherever G54 is set.', null,
        ['subprograms' => ['O9' => "O9\nX900.\nM99"]],
    ],
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

it('says what to do', function (string $lines, string $remedy): void {
    $found = Bench::findings('travel.does-not-fit', Bench::verify(Bench::sound($lines), ['subprograms' => ['O9' => "O9\nX900.\nM99"]]));
    expect($found)->toHaveCount(1)->and(Bench::remedy($found[0]))->toBe($remedy)->and($found[0]->field)->toBe('machine');
})->with([
    'a part too long' => ["G0 X-400.\nX400.", 'Turn the part, split the job into two setups, or use a machine with more travel.'],
    'one number of it' => [
        "G0 X10.\nX900.\nX20.", 'Is X900. on line 7 right? If so, turn the part, split the job into two setups, or use a machine with more travel.',
    ],
    'one number a little too far' => ["G0 X10.\nX780.\nX20.", 'Turn the part, split the job into two setups, or use a machine with more travel.'],
    'one of a program that is called' => ["G0 X10.\nM98 P9", 'Turn the part, split the job into two setups, or use a machine with more travel.'],
]);

it('is no case where a slip of the point makes it too long', function (): void {
    $checks = Bench::names(Bench::verify(Bench::sound("G1 Z-1. F100.\nX-900.\nX10.\nG0 Z25.")));
    expect($checks)->toContain('heights.decimal-slip')->not->toContain('travel.does-not-fit');
});
