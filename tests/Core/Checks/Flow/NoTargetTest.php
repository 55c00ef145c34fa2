<?php

declare(strict_types=1);

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('flow.no-target', [
    ['GOTO 77', 6, 'stop', 'There is no block N77 to go to. The control stops here.', null],
    ['END 1', 6, 'stop', 'END1 has no WHILE before it. The control stops here.', null],
    ["#1=9\nWHILE [#1 LT 3] DO 1\nG0 X#1", 7, 'stop', 'This loop has no END1 below it. The control stops here.', null],
    ["#1=0\nWHILE [#1 LT 3] DO 1\n#1=#1+1\nG0 X#1", 7, 'stop', 'This loop has no END1 below it. The control stops here.', null],
    ["#1=0\nWHILE [#1 LT 3] DO 1\n#1=#1+1\nEND 2", 7, 'stop', 'This loop has no END1 below it; the next end is END2 in line 9. The control stops here.', null],
]);

CheckCases::staysQuiet('flow.no-target', [
    ["GOTO 77\nN77 G0 X1."],
    ["#1=0\nWHILE [#1 LT 3] DO 1\n#1=#1+1\nEND 1"],
    'the block looked for may be the one that cannot be read' => ["G0 X[1+\nGOTO 77"],
]);

it('names both lines of a loop that is ended by another number', function (): void {
    $found = Bench::verify(Bench::sound("#1=0\nWHILE [#1 LT 3] DO 1\n#1=#1+1\nN8 END 2"))->findings;
    expect((new Wording(Units::Millimetre))->text($found[0]))->toBe('This loop has no END1 below it; the next end is END2 in line 9. The control stops here.');
});
