<?php

declare(strict_types=1);

use Tests\Core\Lathe;

it('notes of feeds how far in and out they go and how fast, and where', function (string $lines, array $least, array $nearest, array $most, array $off): void {
    $survey = Lathe::verify("G21 G99\nT0101\nG50 S2000\nG96 S180 M3\nG0 X60. Z5.\n{$lines}\nG28 U0 W0\nM30")->input->lathe;
    expect(array_values($survey->leastX))->toEqualWithDelta([$least], 1e-9)
        ->and(array_values($survey->nearest))->toEqualWithDelta([$nearest], 1e-9)
        ->and(array_values($survey->mostFeed))->toEqualWithDelta([$most], 1e-9)
        ->and(array_values($survey->offCenter))->toEqualWithDelta([$off], 1e-9);
})->with([
    // Radii and lines: the programs begin at line 6, from X60 Z5.
    'along and in' => ["G1 X40. Z-1. F0.2\nX30. Z-5.\nX34. Z-9. F0.3\nX20.", [10.0, 9], [10.0, 9], [0.3, 8], [20.0, 6]],
    'past the axis' => ["G1 X10. F0.2\nX-2.\nX4. Z-3.", [-1.0, 7], [0.0, 7], [0.2, 6], [2.0, 8]],
    'out again' => ["G1 X8. Z-1. F0.1\nX50. Z-20.\nX56.", [4.0, 6], [4.0, 6], [0.1, 6], [25.0, 7]],
    'from nearer than they go' => ["G0 X6.\nG1 X50. Z-2. F0.1\nX52.", [25.0, 7], [3.0, 6], [0.1, 7], [25.0, 7]],
]);
