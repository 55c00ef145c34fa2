<?php

declare(strict_types=1);

use OakTrace\Core\Checks\WantedSizes;
use OakTrace\Core\Stock\Turned\Measured;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

/** Major diameter, pitch, core of the bolt d3, height h3, core of the nut D1, mm (ISO 724, ISO 965-1, from memory). */
const METRIC = [
    'M6' => [6.0, 1.0, 4.773, 0.613, 4.917], 'M8' => [8.0, 1.25, 6.466, 0.767, 6.647], 'M10' => [10.0, 1.5, 8.160, 0.920, 8.376],
    'M12' => [12.0, 1.75, 9.853, 1.074, 10.106], 'M16' => [16.0, 2.0, 13.546, 1.227, 13.835], 'M20' => [20.0, 2.5, 16.933, 1.534, 17.294],
];

/** Major diameter in inches, threads an inch, height, core of the nut (ASME B1.1, from memory). */
const UNIFIED = ['1/4-20' => [0.25, 20, 0.0307, 0.1959], '3/8-16' => [0.375, 16, 0.0383, 0.3073], '1/2-13' => [0.5, 13, 0.0472, 0.4167]];

/** @return list<string> what is said of a thread from Z5 to Z-20 in one pass after another, and how its root comes out */
function threaded(float $crest, float $root, float $pitch, float $bore, string $side, float $major): array
{
    [$isBore, $from] = [$side === 'bore', $side === 'bore' ? $bore - 1 : $crest + 4];
    $passes = implode("\n", array_map(
        static fn (int $n): string => sprintf('X%.4f', $crest + ($root - $crest) * sqrt($n / 12)), range(1, 12),
    ));
    $text = sprintf("G21 G99\nT0505\nG97 S200 M3\nG0 X%.3f Z8.\nG92 %s Z-20. F%.4f\n%s\nG0 X%.3f\nG28 U0 W0\nM30", $from, strtok($passes, "\n"), $pitch,
        substr($passes, (int) strpos($passes, "\n") + 1), $from);
    $run = Lathe::verify($text, array_replace_recursive(LatheCases::BAR, [
        'stock' => ['diameter' => $isBore ? $major + 20 : $crest] + ($isBore ? ['bore' => $bore] : []), 'tools' => [4 => ['pitch' => $pitch]],
        'machine' => ['control' => ['threadPullOff' => 1]], 'offsets' => ['T' => ['5' => ['tip' => $isBore ? 6 : 8]]],
        'target' => ['turned' => [
            ['kind' => 'thread', 'name' => 'thread', 'from' => -20, 'to' => 0, 'diameter' => $major, 'pitch' => $pitch, 'side' => $side, 'tolerance' => 0.003],
        ]],
    ]));
    $wrong = array_filter(WantedSizes::of($run->input), static fn (Measured $one): bool => ! $one->isWithin());

    return [
        ...array_values(array_filter(array_column($run->findings, 'check'), static fn (string $check): bool => str_starts_with($check, 'turning.thread'))),
        ...array_map(static fn (Measured $one): string => $one->size->name, array_values($wrong)),
    ];
}

it('takes a metric thread that is cut as the tables have it', function (float $major, float $pitch, float $core, float $height, float $nut): void {
    expect(threaded($major, $core, $pitch, 0.0, 'outside', $major))->toBe([])->and(($major - $core) / 2)->toEqualWithDelta($height, 0.001)
        ->and(threaded($nut, $major, $pitch, $nut, 'bore', $major))->toBe([]);
})->with(METRIC);

it('takes an inch thread that is cut as the tables have it', function (float $major, int $threads, float $height, float $nut): void {
    [$major, $pitch, $height, $nut] = [25.4 * $major, 25.4 / $threads, 25.4 * $height, 25.4 * $nut];
    expect(threaded($major, $major - 2 * $height, $pitch, 0.0, 'outside', $major))->toBe([])
        ->and(threaded($nut, $major, $pitch, $nut, 'bore', $major))->toBe([]);
})->with(UNIFIED);

it('tells one that is cut a third too shallow', function (float $major, float $pitch, float $core): void {
    expect(threaded($major, $major - ($major - $core) * 0.67, $pitch, 0.0, 'outside', $major))->toBe(['turning.thread-depth', 'thread, root']);
})->with(METRIC);
