<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('travel.near-limit', [
    ['G0 Y199.7', 6, 'caution', 'Y comes within 0.300 mm of its plus limit of 0.000 mm: −0.300 mm.', null],
    ["G0 X395.\nG2 X395. Y-9.8 I0. J-4.9 F100.", 7, 'caution', 'X comes within 0.100 mm of its plus limit of 0.000 mm: −0.100 mm.', null],
    ['G0 Y191.', 6, 'caution', 'Y comes within 9.000 mm of its plus limit of 0.000 mm: −9.000 mm.', null, ['nearLimit' => 10]],
    'the minus limit' => ['G0 X-359.8', 6, 'caution', 'X comes within 0.200 mm of its minus limit of −760.000 mm: −759.800 mm.', null],
    'the length axis' => ['G0 Z249.7', 6, 'caution', 'Z comes within 0.300 mm of its plus limit of 0.000 mm: −0.300 mm.', null],
    'where it comes nearest' => ["G0 Y199.7\nY100.\nY199.8", [8, 6], 'caution', 'Y comes within 0.200 mm of its plus limit of 0.000 mm: −0.200 mm.', null],
    'just within what is near' => ['G0 Y199.501', 6, 'caution', 'Y comes within 0.499 mm of its plus limit of 0.000 mm: −0.499 mm.', null],
    'a machine with one limit on the axis' => [
        'G0 Y199.7', 6, 'caution',
        'Y comes within 0.300 mm of its plus limit of 0.000 mm: −0.300 mm.', null, ['machine' => ['axes' => ['Y' => ['min' => null]]]],
    ],
]);

CheckCases::staysQuiet('travel.near-limit', [
    ['G0 Y199.4'],
    ['G53 G0 Z-.5'],
    ['G0 Y199.5', ['nearLimit' => 0.2]],
    'an axis past its other limit' => ["G0 Y199.7\nG0 Y-215."],
    'a rotary axis' => ['G0 A359.9', ['machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360]]]]],
    'an offset that is not set' => ["G55\nG0 X-.2", ['workOffsets' => ['G54' => ['X' => -380]]]],
    'a length that is not known' => ["G49\nG0 Z-.3"],
    'a limit nobody has given' => ['G0 Y199.7', ['machine' => ['axes' => ['Y' => ['max' => null]]]]],
    ['G0 Y200.5'],
]);

it('says where nothing is to spare', function (string $line, string $text): void {
    expect(Bench::verify(Bench::sound($line))->findings[0]->text)->toContain($text);
})->with([
    'some' => ['G0 Y199.7', 'comes within {spare} of its plus limit'],
    'none' => ['G0 Y200.', 'goes right up to its plus limit of {limit}: nothing to spare.'],
]);

it('names every line that comes near, and the offset', function (): void {
    $found = Bench::findings('travel.near-limit', Bench::verify(Bench::sound("G0 Y199.7\nY100.\nY199.8\nX10.\nY100.\nX394.8")));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->alsoAt, $finding->field], $found))
        ->toBe([[8, [6], 'workOffsets.G54.Y']]);
    $both = Bench::findings('travel.near-limit', Bench::verify(Bench::sound("G0 Y199.7\nY-209.8\nX399.9")));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->field], $both))
        ->toBe([[6, 'workOffsets.G54.Y'], [7, 'workOffsets.G54.Y'], [8, 'workOffsets.G54.X']]);
});
