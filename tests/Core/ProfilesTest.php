<?php

declare(strict_types=1);

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;

/**
 * The profile's own switches, where the shop's machine would state its own.
 *
 * @param  array<string, mixed>  $control
 */
function control(array $control, array $more = []): array
{
    $stated = array_keys(Bench::file()['machine']['control']);

    return array_replace_recursive(Bench::AT_ZERO, ['machine' => ['control' => $control + ['profile' => 'iso-mill'] + array_fill_keys($stated, null)]], $more);
}

it('reads as the profile says', function (string $text, array $control, array $points, array $more = []): void {
    expect(Bench::points("G21 G90\n{$text}", control($control, $more)))->toEqualWithDelta($points, 1e-9);
})->with([
    'whole units' => ['G0 X5', [], [['rapid', 5, 0, 0]]],
    'least increments' => ["G0 X5000\nX12500 Y2.5", ['profile' => 'integer-mill', 'rapidPath' => 'straight'], [['rapid', 5, 0, 0], ['rapid', 12.5, 2.5, 0]]],
    'every axis at its own rate' => ['G0 X10. Y4.', ['profile' => 'integer-mill'], [['rapid', 4, 4, 0], ['rapid', 10, 4, 0]]],
    'repeats of a cycle in K' => [
        "F100.\nG91 G98 G81 X1. Z-1. R-1. K2", ['profile' => 'wide-table-mill'],
        [
            ['rapid', 1, 0, 0], ['rapid', 1, 0, -1], ['feed', 1, 0, -2], ['rapid', 1, 0, 0], ['rapid', 2, 0, 0], ['rapid', 2, 0, -1],
            ['feed', 2, 0, -2], ['rapid', 2, 0, 0],
        ],
    ],
    'a function under a code of one\'s own' => [
        "F100.\nG281 X1. Z-1. R1.", ['codes' => ['drill' => 'G281']], [['rapid', 0, 0, 1], ['rapid', 1, 0, 1], ['feed', 1, 0, -1], ['rapid', 1, 0, 1]],
    ],
    'a letter of one\'s own' => [
        "F100.\nG83 X1. Z-2. R0. B1.", ['words' => ['peck' => 'B']],
        [['rapid', 1, 0, 0], ['feed', 1, 0, -1], ['rapid', 1, 0, 0], ['rapid', 1, 0, -.5], ['feed', 1, 0, -2], ['rapid', 1, 0, 0]],
    ],
]);

it('finds a work offset under the profile\'s code', function (string $text, array $control): void {
    $moves = Bench::moves("G21 {$text} G0 X1.", control($control, ['workOffsets' => ['G54.1P2' => ['X' => 200]]]));
    expect($moves[0]['machineTo']['X'])->toEqual(201)->and($moves[0]['work'])->toBe('G54.1P2');
})->with([['G54.1 P2', []], [
    'G154 P2', ['profile' => 'wide-table-mill'],
], ['G121', ['profile' => 'wide-table-mill']], ['G540', ['codes' => ['G54.1P2' => 'G540']]]]);

it('takes a code away from the function that had it', function (): void {
    $run = Bench::verify(Bench::sound("G81 G98 X1. Y1. Z-1. R2. F100.\nG80"), ['machine' => ['control' => ['codes' => ['drill' => 'G281']]]]);
    expect(Bench::names($run))->toContain('reading.unknown-code');
    $control = Bench::setup(['machine' => ['control' => ['codes' => ['bore' => 'G81']]]])->machine->control;
    expect($control->gCodes[810])->toBe(Code::Bore)->and($control->codeOf(Code::Bore))->toBe('G81')->and($control->codeOf(Code::Drill))->toBeNull();
});

it('takes cycles for motion codes where the profile does', function (): void {
    $text = "G0 G81 X5. Y5. Z-1. R2. F100.\nG80\nX9.";
    $apart = Bench::names(Bench::verify(Bench::sound($text)));
    $together = Bench::names(Bench::verify(Bench::sound($text), ['machine' => ['control' => ['cyclesAreMotion' => true]]]));
    expect($apart)->not->toContain('reading.modal-conflict')->not->toContain('reading.bad-word')
        ->and($together)->toContain('reading.modal-conflict', 'reading.bad-word');
});

it('writes a profile of one\'s own back as it was read', function (): void {
    $control = [
        'profile' => 'wide-table-mill', 'title' => 'The old mill', 'codes' => ['drill' => 'G281'], 'words' => ['peck' => 'B'], 'mostBlocks' => 5000,
        'shrinkingPecks' => false,
    ];
    expect(Bench::files()->write(Bench::setup(['machine' => ['control' => $control]]))['machine']['control'])->toMatchArray($control);
});

it('refuses a profile that cannot be, and says where', function (array $control, string $field): void {
    try {
        Bench::setup(['machine' => ['control' => $control]]);
        $this->fail('read');
    } catch (SetupFileError $error) {
        expect($error->getMessage())->toContain($field);
    }
})->with([
    [['profile' => 'no-such'], 'machine.control.profile'],
    [['codes' => ['no-such' => 'G81']], 'machine.control.codes'],
    [['codes' => ['drill' => 'X81']], 'machine.control.codes'],
    [['words' => ['no-such' => 'Q']], 'machine.control.words'],
    [['words' => ['peck' => 'QQ']], 'machine.control.words'],
    [['lookAheadBlocks' => -1], 'lookAheadBlocks'],
]);

it('has a word for every function of every profile', function (string $name): void {
    $profile = Profiles::named($name);
    foreach ([...$profile->gCodes, ...$profile->mCodes] as $code) {
        expect($code->words())->not->toBe('');
    }
})->with(Profiles::names());

it('groups a code by what it does on the control, not by its number', function (): void {
    $verify = fn (string $lines): Verification => Bench::verify(
        Bench::sound("G0 Z2.\n{$lines}\nG0 Z25."), ['machine' => ['control' => ['codes' => ['feed-per-revolution' => 'G99']]]],
    );
    $both = $verify("G94 G99 G1 Z-1. F0.1\nX10.")->findings[0];
    expect(Bench::names($verify("G99 G1 Z-1. F0.03\nX10. F0.1\nG94 X20. F300.")))->toBe([])
        ->and($both->check)->toBe('reading.modal-conflict')
        ->and((new Wording(Units::Millimetre))->text($both))->toContain('feed mode');
});
