<?php

declare(strict_types=1);

use OakTrace\Core\Timing\SurfaceSpeedTime;

/** The same added up in small steps: each takes its length by the feed a turn and the speed the spindle has there. */
function addedUp(callable $radiusAt, float $length, float $feed, float $speed, float $most): float
{
    $seconds = 0.0;
    for ($n = 0, $steps = 20_000; $n < $steps; $n++) {
        $seconds += 60 * $length / $steps / ($feed * min($most, $speed / (2 * M_PI * max(1e-12, abs($radiusAt(($n + 0.5) / $steps))))));
    }

    return $seconds;
}

it('takes as long along a line as its steps added up', function (float $length, float $from, float $to, float $most): void {
    [$feed, $speed] = [0.2, 180_000.0];
    $time = new SurfaceSpeedTime($feed, $speed, $most);
    expect($time->line($length, $from, $to))->toEqualWithDelta(
        addedUp(static fn (float $share): float => $from + ($to - $from) * $share, $length, $feed, $speed, $most), 1e-5,
    )->and($time->line($length, $to, $from))->toEqualWithDelta($time->line($length, $from, $to), 1e-12);
})->with([
    'beyond where the limit acts' => [20.0, 20.0, 40.0, 2000.0],
    'along the axis' => [30.0, 25.0, 25.0, 2000.0],
    'along it, where the limit acts' => [30.0, 5.0, 5.0, 2000.0],
    'at the limit just so' => [30.0, 180_000 / 2 / M_PI / 2000, 30.0, 2000.0],
    'where it acts on a part' => [20.0, 40.0, 2.0, 2000.0],
    'where it acts on all of it' => [12.0, 12.0, 0.5, 2000.0],
    'to the axis' => [30.0, 30.0, 0.0, 2000.0],
    'to the axis without a limit' => [30.0, 30.0, 0.0, INF],
    'through the axis' => [33.0, 30.0, -3.0, 2000.0],
    'through it the other way' => [33.0, -30.0, 3.0, 1500.0],
    'beyond the axis' => [10.0, -20.0, -30.0, 2000.0],
]);

it('takes as long along an arc as its steps added up', function (float $radius, float $center, float $start, float $sweep, float $most): void {
    [$feed, $speed] = [0.15, 150_000.0];
    $time = new SurfaceSpeedTime($feed, $speed, $most);
    $added = addedUp(static fn (float $share): float => $center + $radius * sin($start + $sweep * $share), $radius * abs($sweep), $feed, $speed, $most);
    expect($time->arc($radius, $center, $start, $sweep))->toEqualWithDelta($added, 1e-4 * $added);
})->with([
    'a quarter outside' => [5.0, 30.0, 0.0, M_PI_2, 3000.0],
    'the same back' => [5.0, 30.0, M_PI_2, -M_PI_2, 3000.0],
    'a part of one' => [12.0, 20.0, 0.4, 1.1, 5000.0],
    'with the limit on a part of it' => [10.0, 15.0, -M_PI_2, M_PI_2, 2000.0],
    'without a limit' => [10.0, 15.0, -M_PI_2, M_PI, INF],
    'a ball end, from the axis' => [15.0, 0.0, 0.0, M_PI_2, 3000.0],
]);

it('knows the radius below which the limit acts, and what a millimetre takes beyond it', function (): void {
    $time = new SurfaceSpeedTime(0.2, 200_000.0, 2000.0);
    expect($time->clamped)->toEqualWithDelta(200_000 / (2 * M_PI * 2000), 1e-9)->and((new SurfaceSpeedTime(0.2, 200_000.0, INF))->clamped)->toBe(0.0)
        ->and($time->line(1.0, 50.0, 50.0))->toEqualWithDelta(50 * $time->perRadius, 1e-12);
});
