<?php

declare(strict_types=1);

use Tests\Core\Bench;

// A ball of 6 on a plate of X ±50, Y ±40, Z -25 to 0 at G54; figures are worked out by hand.

/**
 * What a program reads behind a probe move, in millimetres.
 *
 * @param  array<string, mixed>  $changes
 */
function probed(string $lines, int $number, array $changes = []): float
{
    $setup = array_replace_recursive([
        'tools' => [['number' => 9, 'kind' => 'probe', 'diameter' => 6]], 'offsets' => ['H' => ['9' => -200]],
        'workOffsets' => ['G55' => ['X' => -390, 'Y' => -200, 'Z' => -5]],
    ], $changes);
    $moves = Bench::moves("G21 G90 T9 M6\nG54 G43 H9 G0 X-70. Y0.\nF100.\n{$lines}\n#100=#{$number}\nG90 G21\nG53 G0 X-1.\nG53 X[#100-300.]", $setup);

    return end($moves)['machineTo']['X'] + 300;
}

it('meets the stock with its ball', function (string $lines, int $number, float $at, array $changes = []): void {
    expect(probed($lines, $number, $changes))->toEqualWithDelta($at, 0.001);
})->with([
    'from the left' => ["Z-8.\nG31 X-30.", 5061, -53],
    'which says nothing of the other axes' => ["Z-8.\nG31 X-30.", 5063, -8],
    'from the right' => ["X70. Z-8.\nG31 X30.", 5061, 53],
    'from behind' => ["X0. Y60. Z-8.\nG31 Y20.", 5062, 43],
    'from above, with its tip' => ["X0. Z20.\nG31 Z-9.", 5063, 0],
    'from above, beside it' => ["Z20.\nG31 Z-9.", 5063, -9],
    'over it' => ["Z5.\nG31 X-30.", 5061, -30],
    'by an increment' => ["Z-8.\nG91 G31 X40.", 5061, -53],
    'in inches' => ["G20 Z-.3\nG31 X-1.\n#5=#5061*25.4\nG21\n#6=#5", 6, -53],
    'as another work offset sees it' => ["G55 Z-3.\nX-80.\nG31 X-30.", 5061, -63],
    'where it begins within' => ["Z20.\nX0. Y0.\nZ-8.\nG31 X10.", 5061, 10],
    'where there is no stock' => ["Z-8.\nG31 X-30.", 5061, -30, ['stock' => null]],
    'where the part has been turned' => ["Z-8.\nG0 A90.\nG31 X-30.", 5061, -30, ['machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360]]]]],
    'a round one from a corner' => [
        "Y-70. Z-8.\nG31 X0. Y0.", 5061, -23 * M_SQRT1_2,
        ['stock' => ['shape' => 'cylinder', 'diameter' => 40, 'length' => 25, 'min' => null, 'max' => null]],
    ],
]);

it('stands at its target all the same', function (): void {
    $moves = Bench::moves("G21 G90\nG54 G0 X-70. Y0.\nG43 H1 Z-8.\nG31 X-30. F100.");
    expect(end($moves)['to'])->toEqual([-30, 0, -8]);
});
