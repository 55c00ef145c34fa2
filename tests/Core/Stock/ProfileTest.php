<?php

declare(strict_types=1);

use OakTrace\Core\Stock\Measure\Profile;

/** A profile of 40 long in steps of 0.01, by its height at each place. */
function profileOf(callable $height): Profile
{
    return Profile::of(-20.0, [0.0, 0.0], [40.0, 0.0], 4000, fn (float $x, float $y): ?float => $height($x));
}

it('finds a wall, and which way it goes', function (callable $height, ?array $wall, ?array $back): void {
    foreach ([[false, $wall], [true, $back]] as [$way, $expected]) {
        $found = profileOf($height)->wall(20.0, $way);
        if ($expected === null) {
            expect($found)->toBeNull();
        } else {
            expect([$found['along'], $found['rise'], $found['foot']])->toEqualWithDelta($expected, 0.011);
        }
    }
})->with([
    'a slot' => [fn (float $x): float => $x > 12 && $x < 27 ? -5.0 : 0.0, [27.0, 5.0, -5.0], [12.0, 5.0, -5.0]],
    'a rib' => [fn (float $x): float => $x > 12 && $x < 27 ? 0.0 : -5.0, [27.0, -5.0, 0.0], [12.0, -5.0, 0.0]],
    'a step of a hundredth' => [fn (float $x): float => $x > 30 ? 0.01 : 0.0, [30.0, 0.01, 0.0], null],
    'a slope is none' => [fn (float $x): float => $x > 25 ? ($x - 25) * 1.5 : 0.0, null, null],
    'a chamfer above a wall' => [fn (float $x): float => $x < 25 ? -5.0 : min(0.0, -1.0 + ($x - 25)), [25.0, 4.0, -5.0], null],
    'the groove of a ball ends where it is steep' => [
        fn (float $x): float => abs($x - 20) < 5 ? -sqrt(25 - ($x - 20) ** 2) : 0.0, [25.0, 0.2236, -0.2236], [15.0, 0.2236, -0.2236],
    ],
    'where nothing is left' => [fn (float $x): ?float => $x > 30 ? null : -2.0, [30.0, -18.0, -2.0], null],
]);

it('tells a shape by few corners', function (): void {
    expect(
        profileOf(fn (float $x): float => $x > 12 && $x < 27 ? -5.0 : 0.0)->corners(),
    )->toEqualWithDelta([[0, 0], [12, 0], [12, -5], [27, -5], [27, 0], [40, 0]], 0.011)
        ->and(count(profileOf(fn (float $x): float => 0.0)->corners()))->toBe(2)
        ->and(count(profileOf(fn (float $x): float => -0.25 * $x)->corners()))->toBe(2);
});
