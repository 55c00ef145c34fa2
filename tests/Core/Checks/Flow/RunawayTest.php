<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('flow.runaway', [
    [
        "#1=0\nN1 G0 X0.\nIF [#1 EQ 0] GOTO 1", 7, 'stop',
        'This loop never ends: nothing has changed since it was here before. Reading stopped here.', null,
    ],
    ["M98 P9\nM30\nO9\nM98 P9\nM99", 9, 'stop', 'Calls are nested more than 10 deep here, at O9. Reading stopped here.', null],
    ["M98 P9 L999999999\nM30\nO9\nM99", 6, 'stop', 'This calls O9 999999999 times. Reading stopped here.', null],
    ['G3 I5. P99999999. F100.', 6, 'stop', 'This runs away: more than 10000 strokes or moves. Reading stopped here.', null],
    ['G91 G98 G81 X.001 Z-.1 R-20. L20000 F100.', 6, 'stop', 'This runs away: more than 10000 strokes or moves. Reading stopped here.', null],
    ['G98 G83 X1. Z-20. R2. Q.0001 F100.', 6, 'stop', 'This runs away: more than 10000 strokes or moves. Reading stopped here.', null],
    ["M98 P9 L900\nM30\nO9\nG0 X1.\nX0.\nM99", 11, 'stop',
        'The program runs on: 1000 blocks, or three times as many lines repeated. Reading stopped here.', null,
        ['machine' => ['control' => ['mostBlocks' => 1000]]],
    ],
]);

CheckCases::staysQuiet('flow.runaway', [
    ["#1=0\nN1 #1=#1+1\nIF [#1 LT 500] GOTO 1"],
    ['G91 G98 G81 X1. Z-1. R-23. L20 F100.'],
    ['G98 G83 X1. Y1. Z-20. R2. Q.01 F100.'],
    'explained by a value that is missing' => ["#1=0\nN1 #2=#3+1\nG0 X[#1]\nIF [#1 EQ 0] GOTO 1"],
    'by one that cannot be computed' => ["#1=0\nN1 #2=1/#1\nIF [#1 EQ 0] GOTO 1"],
    'the same, at the end of what a run may take' => [
        "#2=1/0\nM98 P9 L900\nM30\nO9\nG0 X1.\nX0.\nM99", ['machine' => ['control' => ['mostBlocks' => 1000]]],
    ],
]);

it('says at once which counter goes away from its bound', function (string $loop, int $line, string $says): void {
    $run = Bench::verify(Bench::sound($loop));
    $found = Bench::findings('flow.runaway', $run);
    expect($found)->toHaveCount(1)->and($found[0]->line)->toBe($line)
        ->and((new Wording(Units::Millimetre))->text($found[0]))->toContain($says)
        ->and($run->trace->blocks)->toBeLessThan(110_000);
})->with([
    'a sign that is wrong' => ["#101=0\nWHILE [#101 LT 60] DO1\nG0 X[#101/1000]\n#101=[#101-4.05]\nEND1", 7, '#101 is -4147.2, and no nearer to 60'],
    'a bound that is passed by' => ["#1=0\nN5 #1=#1+3\nG0 X[#1/1000]\nIF [#1 NE 100] GOTO 5", 9, 'after 1087 turns #1 is 3264, and no nearer to 100'],
    'the outer of two' => ["#1=0\nN5 IF [#1 GT 50] GOTO 9\n#2=0\nN6 #2=#2+1\nIF [#2 LT 20] GOTO 6\n#1=#1-1\nGOTO 5\nN9", 7, '#1 is -102'],
    'two bounds, neither of them nearer' => ["#1=1\n#2=9\nWHILE [#1 GT 0 AND 5 LT #2] DO1\n#1=#1+1\n#2=#2*1.001\nEND1", 8, '#1 is 1025, and no nearer to 0'],
    'no way out' => ["#1=0\nN1 #1=#1+1\nGOTO 1", 7, 'nothing in it leads out'],
    'nothing changes' => ["#1=0\nN1 G0 X1.\nIF [#1 EQ 0] GOTO 1", 7, 'nothing has changed'],
]);

it('lets a loop run that ends late or goes away for a while', function (string $loop): void {
    expect(Bench::names(Bench::verify(Bench::sound($loop))))->not->toContain('flow.runaway');
})->with([
    'one that goes away, then back' => ["#1=0\n#2=0\nWHILE [#1 LT 60] DO1\n#2=#2+1\n#1=#1-1\nIF [#2 GT 900] THEN #1=#1+3\nEND1"],
    'a way out in the middle' => ["#1=0\n#2=0\nWHILE [#1 LT 60] DO1\n#1=#1-1\n#2=#2+1\nIF [#2 GT 3000] GOTO 8\nEND1\nN8"],
    'rows of a surface' => ["#1=0\nN1 #2=0\nN2 #2=#2+1\nIF [#2 LT 1500] GOTO 2\n#1=#1+1\nIF [#1 LT 40] GOTO 1"],
    'a program called often, that does nothing' => ["M98 P9 L900000\nM30\nO9\nM99"],
    'a program called often, with a shift that adds up' => ["M98 P9 L200\nM30\nO9\nG91 G0 X.01\nG90 M99"],
]);

it('gives a long text rows by its lines, however often it goes round', function (): void {
    $holes = implode("\n", array_map(static fn (int $i): string => 'X'.($i % 40).'. Y'.(intdiv($i, 40) % 20).'.', range(1, 20_000)));
    $verify = static fn (string $text): Verification => Verification::of(Program::fromText($text), Bench::setup());
    $run = $verify("G21 G17 G90 G94 G54\nT1 M6\nS1000 M3\nG0 G43 H1 Z60.\nG98 G83 X0. Y0. Z-10. R2. Q1.5 F100.\n{$holes}\nG80\nM30");
    expect($run->trace->rows())->toBeGreaterThan(400_000)->and(Bench::names($run))->not->toContain('flow.runaway');
    $loop = $verify(Bench::sound("#1=0\nWHILE [#1 LT 900000] DO1\nG0 X0.\nX1.\n#1=#1+1\nEND1"));
    expect(Bench::names($loop))->toContain('flow.runaway')->and($loop->trace->rows())->toBeLessThan(302_000);
});

it('says what to look at first', function (string $lines, string $remedy): void {
    $found = Bench::findings('flow.runaway', Bench::verify(Bench::sound($lines)));
    expect((new Wording(Units::Millimetre))->remedy($found[0]))->toBe($remedy);
})->with([
    'a counter' => ["#1=0\nWHILE [#1 LT 9] DO1\n#1=#1-1\nEND1", 'Check the sign of what is added to #1 at each turn, and the condition.'],
    'no way out' => ["N1 G0 X1.\nGOTO 1", 'Check what ends the loop: the condition, and the variable it counts with.'],
]);

it('says nothing of how far a run goes that never ends', function (): void {
    $checks = array_column(Bench::verify(Bench::sound("N1 G91 G0 X10.\nGOTO 1"))->findings, 'check');
    expect($checks)->toContain('flow.runaway')->not->toContain('travel.overrun');
});
