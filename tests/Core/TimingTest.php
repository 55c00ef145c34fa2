<?php

declare(strict_types=1);

use Tests\Core\Bench;

/** Closed forms: a rapid from rest to rest takes d / v + v / a where it reaches its rate, 2 √(d / a) where it does not. */
it('times moves', function (string $text, float $seconds): void {
    $rows = Bench::rows($text, Bench::AT_ZERO);
    expect(end($rows)['seconds'])->toEqualWithDelta($seconds, 1e-4);
})->with([
    'long rapid: 400 mm at 400 mm/s, 2500 mm/s²' => ['G0 X400.', 400 / 400 + 400 / 2500],
    'short rapid' => ['G0 X10.', 2 * sqrt(10 / 2500)],
    'the slowest axis counts' => ['G0 X10. Z-300.', 300 / 300 + 300 / 2000],
    'feed' => ['G1 X50. F300.', 10],
    'no faster than the machine' => ['G1 X200. F99999.', 1],
    'a rise counts' => ["F600.\nG1 X30. Z40.", 5],
    'dwell' => ['G4 P2.5', 2.5],
    'tool change' => ['T1 M6', 6],
    'half speed takes half the spin-up' => ['S4000 M3', 0.75],
    'reversing takes it twice' => ["S4000 M3\nM4", 1.5],
]);
