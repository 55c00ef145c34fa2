<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$copied = ['why' => 'copied', 'from' => 'Hand hub, op 10 Vice'];

CheckCases::raises('offsets.not-trusted', [
    'a length begun and not finished' => [
        'G0 X1.', 5, 'stop', 'Touching off H1 was begun at 10:42 and not finished.', null, ['notTrusted' => ['H1' => ['why' => 'begun', 'at' => '10:42']]],
    ],
    'a work offset begun' => ['G0 X1.', 2, 'stop', 'Touching off G54 was begun and not finished.', null, ['notTrusted' => ['G54' => ['why' => 'begun']]]],
    'a cutter offset begun' => [
        "G0 X-70. Y0.\nG41 D1 G1 X-60. F300.\nG40 X-80.", 7, 'stop', 'Touching off D1 was begun and not finished.', null,
        ['notTrusted' => ['D1' => ['why' => 'begun']]],
    ],
    'copied from another setup, one finding for all' => [
        'G0 X1.', 2, 'stop', 'G54 and H1 were copied from Hand hub, op 10 Vice and not touched off here.', null,
        ['notTrusted' => ['G54' => $copied, 'H1' => $copied, 'H2' => $copied]],
    ],
    'one copied' => ['G0 X1.', 5, 'stop', 'H1 was copied and not touched off here.', null, ['notTrusted' => ['H1' => ['why' => 'copied']]]],
    'three of them' => [
        "G0 X-70. Y0.\nG41 D1 G1 X-60. F300.\nG40 X-80.", 2, 'stop',
        'G54, H1 and D1 were copied from Hand hub, op 10 Vice and not touched off here.', null,
        ['notTrusted' => ['G54' => $copied, 'H1' => $copied, 'D1' => $copied]],
    ],
]);

CheckCases::staysQuiet('offsets.not-trusted', [
    'an offset that is not used' => ['G0 X1.', ['notTrusted' => ['H2' => ['why' => 'begun'], 'G55' => $copied, 'D1' => $copied]]],
    'all trusted' => ['G0 X1.'],
]);

it('says what to touch off, one by one or each', function (array $notTrusted, array $said): void {
    $found = Bench::findings('offsets.not-trusted', Bench::verify(Bench::sound('G0 X1.'), ['notTrusted' => $notTrusted]));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->field, Bench::remedy($finding)], $found))->toBe($said);
})->with([
    'one copied' => [['H1' => ['why' => 'copied']], [[5, 'offsets.H.1', 'Touch it off on this machine, in this clamping.']]],
    'two copied from one setup' => [['G54' => $copied, 'H1' => $copied], [[2, 'workOffsets.G54', 'Touch each off on this machine, in this clamping.']]],
    'from two setups' => [['G54' => $copied, 'H1' => ['why' => 'copied']], [
        [2, 'workOffsets.G54', 'Touch it off on this machine, in this clamping.'], [5, 'offsets.H.1', 'Touch it off on this machine, in this clamping.'],
    ]],
    'one begun' => [['H1' => ['why' => 'begun']], [[5, 'offsets.H.1', 'Touch off H1 again, from the start.']]],
]);
