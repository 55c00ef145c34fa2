<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Arc;

it('takes as many chords as an error asks for', function (float $radius, float $angle, float $error, int $chords): void {
    expect(Arc::chords($radius, $angle, $error, 1000))->toBe($chords)->and(Arc::chords($radius, -$angle, $error, 1000))->toBe($chords);
    // A chord of half the angle between two of them stands off by its sagitta (geometry).
    expect($radius * (1 - cos($angle / $chords / 2)))->toBeLessThanOrEqual($error + 1e-12);
})->with([[10.0, M_PI_2, 0.01, 18], [400.0, 0.5, 0.005, 50], [0.004, 2 * M_PI, 0.005, 4]]);

it('takes no more than the most, and one of what cannot be told from a line', function (): void {
    expect(Arc::chords(1e5, 2 * M_PI, 0.001, 180))->toBe(180)->and(Arc::chords(1e17, 1e-17, 0.001, 180))->toBe(1);
});

it('goes round in its plane, and on evenly beside it', function (): void {
    $places = (new Arc(0.0, 0.0, 90.0))->places([5.0, 0.0, 0.0], [0.0, 5.0, -2.0], [0, 1], 2);
    expect($places)->toHaveCount(3)->and($places[1][0])->toEqualWithDelta(5 * M_SQRT1_2, 1e-12)->and($places[1][1])->toEqualWithDelta(5 * M_SQRT1_2, 1e-12)
        ->and($places[1][2])->toBe(-1.0)->and($places[2][1])->toEqualWithDelta(5.0, 1e-12);
    // Clockwise in Z and X, with Y beside.
    $places = (new Arc(0.0, 0.0, 90.0))->places([0.0, 1.0, 3.0], [3.0, 1.0, 0.0], [2, 0], 2);
    expect($places[1])->toEqualWithDelta([3 * M_SQRT1_2, 1.0, 3 * M_SQRT1_2], 1e-12);
});
