<?php

declare(strict_types=1);

use App\Logbook\Difference;
use App\Shop\IncomingFiles;
use App\Shop\OffsetTrust;

function documentWith(array $fields = []): object
{
    return json_decode((string) json_encode($fields + [
        'workOffsets' => ['G54' => ['X' => -400, 'Y' => -200], 'G55' => ['X' => -100]],
        'offsets' => ['H' => ['1' => -250, '2' => -230], 'D' => ['1' => 10]], 'proof' => ['on' => '2026-03-02', 'parts' => (object) []],
    ]), false);
}

function notTrusted(object $document): array
{
    return json_decode((string) json_encode($document->notTrusted ?? []), true);
}

it('finds every offset that has a value', function (): void {
    expect(OffsetTrust::names(documentWith()))->toBe(['G54', 'G55', 'H1', 'H2', 'D1'])->and(OffsetTrust::names((object) []))->toBe([]);
});

it('distrusts all of a copy, axis by axis, and takes its proof away', function (): void {
    $copy = OffsetTrust::copied(documentWith(), 'Hand hub, op 10');
    expect(array_keys(notTrusted($copy)))->toBe(['G54', 'G55', 'H1', 'H2', 'D1'])
        ->and(notTrusted($copy)['G54'])->toBe(['why' => 'copied', 'from' => 'Hand hub, op 10', 'axes' => ['X', 'Y']])
        ->and(notTrusted($copy)['H1'])->toBe(['why' => 'copied', 'from' => 'Hand hub, op 10'])->and($copy)->not->toHaveProperty('proof');
});

it('trusts a length at once, and a work offset once its last axis is', function (): void {
    $copy = OffsetTrust::copied(documentWith(), 'x');
    $copy = OffsetTrust::trusted($copy, 'H1', null);
    expect(OffsetTrust::isTrusted($copy, 'H1', null))->toBeTrue()->and(OffsetTrust::isTrusted($copy, 'H2', null))->toBeFalse();
    $copy = OffsetTrust::trusted($copy, 'G54', 'X');
    expect(OffsetTrust::isTrusted($copy, 'G54', 'X'))->toBeTrue()->and(OffsetTrust::isTrusted($copy, 'G54', 'Y'))->toBeFalse()
        ->and(notTrusted($copy)['G54']['axes'])->toBe(['Y']);
    expect(notTrusted(OffsetTrust::trusted($copy, 'G54', 'Y')))->not->toHaveKey('G54');
});

it('begins one axis of an offset that was trusted, and no other', function (): void {
    $begun = OffsetTrust::begun(documentWith(), 'G54', 'Y', '10:42');
    expect(notTrusted($begun))->toBe(['G54' => ['why' => 'begun', 'at' => '10:42', 'axes' => ['Y']]])
        ->and(OffsetTrust::isTrusted($begun, 'G54', 'X'))->toBeTrue();
    expect(notTrusted(OffsetTrust::begun($begun, 'G54', 'X', '10:50'))['G54']['axes'])->toBe(['Y', 'X']);
});

it('keeps the rest of what a copy has when one axis is begun', function (): void {
    $begun = OffsetTrust::begun(OffsetTrust::copied(documentWith(), 'x'), 'G54', 'X', '10:42');
    expect(notTrusted($begun)['G54'])->toBe(['why' => 'begun', 'at' => '10:42', 'axes' => ['X', 'Y']])->and(notTrusted($begun))->toHaveKey('H2');
});

it('leaves no empty list behind, and the document it was given as it was', function (): void {
    $document = OffsetTrust::begun(documentWith(), 'H2', null, '10:42');
    $trusted = OffsetTrust::trusted($document, 'H2', null);
    expect($trusted)->not->toHaveProperty('notTrusted')->and(notTrusted($document))->toHaveKey('H2');
});

it('says in the logbook what is not trusted any more', function (): void {
    $fields = Difference::between(documentWith(), OffsetTrust::begun(documentWith(), 'H2', null, '10:42'));
    expect($fields)->toBe([['H2 not trusted, why', null, 'begun'], ['H2 not trusted, at', null, '10:42']]);
});

it('names a program by its file, whatever the ending', function (string $file, string $name): void {
    expect(IncomingFiles::nameOf($file))->toBe($name);
})->with([
    ['O1305.nc', 'O1305'], ['O1305.MIN', 'O1305'], ['O1305', 'O1305'], ['sub/plate top.txt', 'plate top'], ['C:\\jobs\\A.tap', 'A'],
    ['1305.2026-03-02', '1305.2026-03-02'], ['.nc', 'nc'], ['', 'Program'], [str_repeat('A', 100).'.nc', str_repeat('A', 80)],
]);
