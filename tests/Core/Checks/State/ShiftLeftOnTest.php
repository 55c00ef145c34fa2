<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('state.shift-left-on', [
    ['G52 X5.', 8, 'caution', 'Still active at the end of the program: a shift of program zero since line 6. The next run begins with it.', null],
    [
        'G68 X0. Y0. R5.', 8, 'caution', 'Still active at the end of the program: rotation since line 6. The next run begins with it.',
        'Put G69 before line 8 @ 8:1 0 “G69¶”',
    ],
    [
        'G51 X0. Y0. Z0. P2.', 8, 'caution', 'Still active at the end of the program: scaling since line 6. The next run begins with it.',
        'Put G50 before line 8 @ 8:1 0 “G50¶”',
    ],
    [
        'G16', 8, 'caution', 'Still active at the end of the program: radius and angle since line 6. The next run begins with it.',
        'Put G15 before line 8 @ 8:1 0 “G15¶”',
    ],
    'two of them' => [
        "G52 X5.\nG68 X0. Y0. R5.", 9, 'caution',
        'Still active at the end of the program: a shift of program zero since line 6, rotation since line 7. The next run begins with it.',
        null,
    ],
    'ended in a called program' => [
        "G52 X5.\nM98 P70\nM30\nO70\nM30", 10, 'caution',
        'Still active at the end of the program: a shift of program zero since line 6. The next run begins with it.', null,
    ],
]);

CheckCases::staysQuiet('state.shift-left-on', [
    ["G52 X5.\nG52 X0."],
    ["G68 X0. Y0. R5.\nG69"],
    ["G16\nG15"],
]);

it('tells where it began, also where a called program ends the run', function (): void {
    $finding = Bench::verify(Bench::sound("G52 X5.\nM98 P70\nM30\nO70\nM30"))->findings[0];
    expect($finding->text)->toContain('a shift of program zero since line 6.');
});

it('names what is left on, and no more', function (string $line, string $what, array $not): void {
    $finding = Bench::verify(Bench::sound($line))->findings[0];
    expect($finding->text)->toContain("program: {$what} since line 6.")->and($finding->edit?->text)->not->toContain(...$not);
})->with([
    'a rotation' => ['G68 X0. Y0. R5.', 'rotation', ['G50']],
    'a scale' => ['G51 X0. Y0. Z0. P2.', 'scaling', ['G69', 'G50.1']],
    'a mirror' => ['G51.1 X0.', 'mirror', ['G69']],
]);
