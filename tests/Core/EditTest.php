<?php

declare(strict_types=1);

use OakTrace\Core\Language\Edit;

it('is made from the end, so that no place moves, and brings along what belongs to it', function (): void {
    $edit = (new Edit(2, 4, 2, 'Z-10.', 'Put Z'))
        ->and(new Edit(2, 1, 3, '', 'Leave G1'), null)
        ->and(new Edit(1, 2, 1, '54', 'Put G54'), new Edit(2, 6, 0, ' F9.', 'Put F'));
    expect($edit->in("G5 X1.\nG1 Z5\nM30"))->toBe("G54 X1.\nZ-10. F9.\nM30")
        ->and($edit->label)->toBe('Put Z')
        ->and($edit->labelled('Put all')->label)->toBe('Put all')
        ->and($edit->labelled('Put all')->in("G5 X1.\nG1 Z5\nM30"))->toBe("G54 X1.\nZ-10. F9.\nM30");
});

it('writes a line the text does not have yet', function (): void {
    expect((new Edit(2, 1, 0, 'M30', 'Put M30'))->in('G0 X1.'))->toBe("G0 X1.\nM30");
});
