<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Gaps;
use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

const JAW = ['obstacles' => [['name' => 'jaw', 'shape' => 'box', 'min' => [-80, 40, -30], 'max' => [80, 60, 5], 'workOffset' => 'G54']]];

const PARALLEL = ['obstacles' => [['name' => 'parallel', 'shape' => 'box', 'min' => [-6, -40, -45], 'max' => [6, 40, -25], 'workOffset' => 'G54']]];

// A clamp whose corner stands at 20, 20; the way from 14.4, 18 to 18, 14.4 lies 5.37 from it, that from 15, 18 to 18, 15 lies 4.95.
const CLAMP = ['obstacles' => [['name' => 'clamp', 'shape' => 'box', 'min' => [20, 20, -30], 'max' => [60, 60, 12], 'workOffset' => 'G54']]];

CheckCases::raises('heights.rapid-hits-obstacle', [
    ["G0 X-95. Y45.\nZ2.\nX70.\nZ25.", [8, 9], 'stop', 'T1 runs into jaw at Z 2.000 mm, 3.000 mm below its top.', null, JAW],
    ["G0 X-95. Y36.\nZ2.\nG1 Z-2. F100.\nX70. F300.\nG0 Z25.", [9, 10], 'stop', 'T1 runs into jaw at Z −2.000 mm, 7.000 mm below its top.', null, JAW],
    'through the stock into what lies under it' => [
        "Z2.\nG1 Z-25.4 F100.\nG0 Z25.", [7, 8], 'stop',
        'T1 breaks through into parallel, which lies under the stock: down to Z −25.400 mm, 0.400 mm into it.', null, PARALLEL,
    ],
    ["G0 X-30. Y30.\nZ6.\nG1 Z4. F100.\nG2 X30. Y30. R31. F300.\nG0 Z25.", 9, 'stop', 'T1 runs into jaw at Z 4.000 mm, 1.000 mm below its top.', null, JAW],
    'what ends a little above the bottom of the stock' => [
        "X-60.\nZ2.\nG1 Z-24.8 F100.\nG0 Z25.", [8, 9], 'stop', 'T1 runs into stop at Z −24.800 mm, 0.300 mm below its top.', null,
        ['obstacles' => [['name' => 'stop', 'shape' => 'box', 'min' => [-70, -10, -45], 'max' => [-56, 10, -24.5], 'workOffset' => 'G54']]],
    ],
    'past the corner of a clamp, too near' => [
        "G0 X0. Y33.\nZ5.\nG1 X33. Y0. F600.\nG0 Z25.", 8, 'stop', 'T1 runs into clamp at Z 5.000 mm, 7.000 mm below its top.', null, CLAMP,
    ],
    // R 400 with its chord at Y33: it bulges by 2.007 over 80, so that the wall of the tool of 10 comes to 40.007.
    'a wide arc that comes into a jaw between its ends' => [
        "G0 X-40. Y33.\nZ3.\nG2 X40. Y33. R400. F600.\nG0 Z25.", 8, 'stop', 'T1 runs into jaw at Z 3.000 mm, 2.000 mm below its top.', null, JAW,
    ],
]);

CheckCases::staysQuiet('heights.rapid-hits-obstacle', [
    'past the corner of a clamp' => ["G0 X0. Y32.4\nZ5.\nG1 X32.4 Y0. F600.\nG0 Z25.", CLAMP],
    'a wide arc that stays beside a jaw' => ["G0 X-40. Y32.98\nZ3.\nG2 X40. Y32.98 R400. F600.\nG0 Z25.", JAW],
    ["G0 X-70. Y45.\nZ5.5\nX70.\nZ25.", JAW],
    'through beside it' => ["X20.\nZ2.\nG1 Z-25.4 F100.\nG0 Z25.", PARALLEL],
    'not through' => ["Z2.\nG1 Z-24.9 F100.\nG0 Z25.", PARALLEL],
    ["G0 X-70. Y34.\nZ2.\nG1 X70. F300.\nG0 Z25.", JAW],
]);

it('tells each thing it runs into once, with every line', function (): void {
    $both = ['obstacles' => [...JAW['obstacles'], ...CLAMP['obstacles']]];
    $run = Bench::verify(Bench::sound("G0 X-95. Y45.\nZ2.\nX70.\nX-70.\nZ25.\nY20.\nX40.\nZ2.\nZ25."), $both);
    expect(array_map(
        static fn (Finding $finding): array => [$finding->figures['obstacle'], $finding->line, $finding->alsoAt, $finding->field],
        Bench::findings('heights.rapid-hits-obstacle', $run),
    ))->toBe([['jaw', 8, [9, 10], 'obstacles.0'], ['clamp', 8, [9, 13, 14], 'obstacles.1']]);
});

it('says what to do by where the obstacle is', function (string $lines, array $obstacle, string $remedy): void {
    $found = Bench::findings('heights.rapid-hits-obstacle', Bench::verify(Bench::sound($lines), $obstacle));
    expect(Bench::remedy($found[0]))->toBe($remedy);
})->with([
    'under the stock' => [
        "Z2.\nG1 Z-30. F100.\nG0 Z25.",
        ['obstacles' => [['name' => 'parallel', 'shape' => 'box', 'min' => [-20, -20, -45], 'max' => [20, 20, -25], 'workOffset' => 'G54']]],
        'Cut less deep, or move what lies under the stock.',
    ],
    'beside it' => [
        "G1 Z24. F500.\nX40. Y40. Z2.\nG0 Z25.", CLAMP, 'Go over it or round it, or move the fixture. The holder is wider than the tool.',
    ],
]);

it('says that no obstacles were given', function (): void {
    $none = 'No jaws or clamps given: only the stock is checked.';
    expect(array_column(Gaps::of(Bench::verify(Bench::sound('X1.'))->input), 'text'))->toContain($none)
        ->and(array_column(Gaps::of(Bench::verify(Bench::sound('X1.'), CLAMP)->input), 'text'))->not->toContain($none);
});
