<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('flow.missing-program', [
    ['M98 P4000', 6, 'stop', 'O4000 is called and is neither in this program nor in the setup; what it does is not known here.', null],
    ["M98 P24000\nM30\nO4000\nG0 X1.\nM99", 6, 'stop',
        'O24000 is called and is not here. O4000 is: P24000 runs it 2 times on controls that take repeats from the first digits of P.', null,
    ],
    ['G65 P4000 A1.', 6, 'stop', 'O4000 is called and is neither in this program nor in the setup; what it does is not known here.', null],
]);

CheckCases::staysQuiet('flow.missing-program', [
    ["M98 P4000\nM30\nO4000\nG0 X1.\nM99"],
    ["M98 P24000\nM30\nO4000\nG0 X1.\nM99", ['machine' => ['control' => ['subprogramRepeats' => 'leading-digits']]]],
]);

it('tells each program once, with every line that calls it', function (): void {
    $run = Bench::verify(Bench::sound("M98 P4000\nM98 P4001\nM98 P4000\nM98 P24002\nM98 P34003")."O4002\nM99\nO4003\nM99\n");
    $found = Bench::findings('flow.missing-program', $run);
    expect(array_map(static fn (Finding $finding): array => [$finding->figures['program'], $finding->line, $finding->alsoAt], $found))
        ->toBe([['O4000', 6, [8]], ['O4001', 7, []], ['O24002', 9, []], ['O34003', 10, []]]);
});
