<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Gaps;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('offsets.odd-one-out', [
    ['G0 X1.', 5, 'caution', 'H1 is 250.000 mm. Lengths touched off from home are negative.', null, ['offsets' => ['H' => ['1' => 250]]]],
    [
        'G0 X1.', 5, 'caution', 'H1 is −250.000 mm. Lengths from the gauge line are positive.', null,
        ['lengthSchool' => 'gauge-line', 'machine' => ['axes' => ['Z' => ['min' => -900]]]],
    ],
    [
        'G0 X1.', 5, 'caution', 'H1 is −25.000 mm, far from the other lengths, which run from −239.980 mm to −230.000 mm.', null,
        ['offsets' => ['H' => ['1' => -25]]],
    ],
    'a digit too many' => [
        'G0 X1.', 5, 'caution', 'H1 is −400.000 mm, far from the other lengths, which run from −239.980 mm to −230.000 mm.', null,
        ['offsets' => ['H' => ['1' => -400]], 'workOffsets' => ['G54' => ['Z' => 200]]],
    ],
    'nobody says how they are measured' => [
        'G0 X1.', 5, 'caution', 'H1 is −25.000 mm, far from the other lengths, which run from −239.980 mm to −230.000 mm.', null,
        ['offsets' => ['H' => ['1' => -25]], 'lengthSchool' => null],
    ],
]);

CheckCases::staysQuiet('offsets.odd-one-out', [
    'a good length beside one that is wrong' => ['G0 X1.', ['offsets' => ['H' => ['2' => -23]]]],
    'lengths against a master tool' => [
        'G0 X1.',
        ['lengthSchool' => 'master-tool', 'workOffsets' => ['G54' => ['Z' => -250]], 'offsets' => ['H' => ['1' => -54.791, '2' => 0, '3' => 22.4]]],
    ],
    'one of two' => ['G0 X1.', ['offsets' => ['H' => ['1' => -25, '3' => null]]]],
    'not much over half of the others' => ['G0 X1.', ['offsets' => ['H' => ['1' => -100]]]],
    'a length of nothing' => ['G0 X1.', ['offsets' => ['H' => ['1' => 0]]]],
    'one that is not used' => ['G0 X1.', ['offsets' => ['H' => ['2' => 230]]]],
    ['G0 X1.'],
]);

it('says that signs were not looked at where nobody says how lengths are measured', function (): void {
    $fields = static fn (array $changes): array => array_column(Gaps::of(Bench::verify(Bench::sound('X1.'), $changes)->input), 'field');
    expect($fields(['lengthSchool' => null]))->toContain('lengthSchool')->and($fields([]))->not->toContain('lengthSchool');
});
