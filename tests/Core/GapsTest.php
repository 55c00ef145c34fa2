<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Gap;
use OakTrace\Core\Checks\Gaps;
use Tests\Core\Bench;

/** @return list<string> */
function gaps(string $lines, array $changes = []): array
{
    return array_map(
        fn (Gap $gap): string => "{$gap->question->name}: {$gap->text}".($gap->field === null ? '' : " [{$gap->field}]"),
        Gaps::of(Bench::verify(Bench::sound($lines), $changes)->input),
    );
}

const WHOLE = ['grip' => ['kind' => 'jaws', 'depth' => 8], 'obstacles' => [
    ['name' => 'jaw', 'shape' => 'box', 'min' => [-80, 60, -30], 'max' => [80, 80, -20], 'workOffset' => 'G54'],
], 'tools' => [
    [
        'number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'flutes' => 3, 'fluteLength' => 25, 'stickout' => 40,
        'holder' => ['diameter' => 40, 'length' => 60],
    ],
    ['number' => 4, 'kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25, 'stickout' => 50, 'holder' => ['diameter' => 30, 'length' => 60], 'fluteLength' => 20],
]];

it('has nothing to tell where everything was given', function (): void {
    expect(gaps("G0 Z2.\nG1 Z-2. F200.\nX20.", WHOLE))->toBe([]);
});

it('tells under each question what was not looked at, and where to give what is missing', function (array $changes, string $gap): void {
    $lines = "G0 Z2.\nG1 Z-2. F200.\nX20.\nG0 Z25.\nT4 M6\nG54 G0 X0. Y0.\nS200 M3\nG43 H4 Z25.\nG98 G84 Z-5. R5. F250.\nG80";
    expect(gaps($lines, $changes + WHOLE))->toContain($gap);
})->with([
    [['stock' => null], 'Heights: No stock given: rapids and depths are not checked. [stock]'],
    [['obstacles' => []], 'Heights: No jaws or clamps given: only the stock is checked. [obstacles]'],
    [['clearance' => null], 'Heights: No clearance given: rapid heights are not checked. [clearance]'],
    [['machine' => ['axes' => ['Y' => ['min' => null]]]], 'Fits: No limits given for Y.'.' [machine]'],
    [['material' => null], 'Cut: No material given: speeds, chips and power are not checked. [material]'],
    [['grip' => null], 'Cut: Workholding not specified. [grip]'],
    [['tools' => [WHOLE['tools'][1], ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10]]], 'Cut: No holder given for T1. [tools.1.holder]'],
    [['tools' => [WHOLE['tools'][1], ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10]]], 'Cut: No flute length given for T1. [tools.1.fluteLength]'],
    [['tools' => [['number' => 4, 'kind' => 'tap', 'diameter' => 8]]], 'Cut: No pitch given for T4. [tools.0.pitch]'],
    [['tools' => [['number' => 4, 'kind' => 'tap', 'pitch' => 1.25]]], 'Cut: No diameter given for T4. [tools.0.diameter]'],
    [
        ['tools' => [['number' => 4, 'kind' => 'tap', 'pitch' => 1.25]]],
        'Cut: The cut was not simulated: depth, width, holder and load are not checked.',
    ],
    [['lengthSchool' => null], 'Offsets: How tool lengths are measured is not specified: their signs are not checked. [lengthSchool]'],
]);

it('says that every other answer was given without what could not be read', function (string $line, string $without): void {
    expect(array_values(array_filter(gaps($line, WHOLE), fn (string $gap): bool => str_contains($gap, 'without'))))->toBe(
        array_map(fn (string $question): string => "{$question}: Judged without {$without}.", ['Ready', 'Heights', 'Fits', 'Cut', 'Offsets']),
    );
})->with([
    ['M98 P4711', 'what a missing program does'],
    ['G47', 'codes that are not known'],
    ['G0 X1O.', 'words that cannot be read'],
]);
