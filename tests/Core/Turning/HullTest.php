<?php

declare(strict_types=1);

use OakTrace\Core\Stock\Turned\Hull;

/** @return non-empty-list<array{float, float}> */
function scattered(int $seed, float $z, float $x, float $wide, int $count): array
{
    mt_srand($seed);

    return array_map(static fn (): array => [$z + mt_rand(-1000, 1000) * $wide / 1000, $x + mt_rand(-1000, 1000) * $wide / 1000], range(1, $count));
}

/**
 * Between which radii the hull of some points lies at a place: of all lines between two of them the lowest and the highest there.
 *
 * @param  list<array{float, float}>  $points
 * @return array{float, float}
 */
function radiiOf(array $points, float $z): array
{
    $at = [];
    foreach ($points as [$z0, $x0]) {
        foreach ($points as [$z1, $x1]) {
            if ($z0 < $z && $z <= $z1) {
                $at[] = $x0 + ($x1 - $x0) * ($z - $z0) / ($z1 - $z0);
            }
        }
    }

    return [min($at), max($at)];
}

it('lies between the lowest and the highest line of two of its points', function (int $seed): void {
    $hull = new Hull($points = scattered($seed, -12.0, 20.0, 8.0, 9));
    expect([$hull->least, $hull->most])->toBe([min(array_column($points, 0)), max(array_column($points, 0))]);
    [$lower, $upper] = [0, 0];
    for ($n = 1; $n < 40; $n++) {
        $z = $hull->least + ($hull->most - $hull->least) * $n / 40;
        expect([$hull->low($z, $lower), $hull->high($z, $upper)])->toEqualWithDelta(radiiOf($points, $z), 1e-9);
    }
    [$low, $high] = [min(array_column($points, 1)), max(array_column($points, 1))];
    expect($hull->liesBeside(0.0, $low + 0.01))->toBeTrue()->and($hull->liesBeside(0.0, $low - 0.01))->toBeFalse()
        ->and($hull->liesBeside($high - 0.01, 90.0))->toBeTrue()->and($hull->liesBeside($high + 0.01, 90.0))->toBeFalse();
})->with(range(1, 12));

it('comes as far into a rectangle as the shorter way out of it is long', function (array $points, float $by): void {
    expect((new Hull($points))->into(-10.0, 6.0, 30.0))->toEqualWithDelta($by, 0.03);
})->with([
    'beside it' => [[[-9.9, 10.0], [-5.0, 20.0]], 0.0],
    'inside of it' => [[[-15.0, 2.0], [-15.0, 5.9], [-8.0, 5.9], [-8.0, 2.0]], 0.0],
    'outside of it' => [[[-15.0, 30.1], [-15.0, 40.0], [-8.0, 40.0]], 0.0],
    'past its end' => [[[-10.4, 12.0], [-10.4, 20.0], [-5.0, 20.0], [-5.0, 12.0]], 0.4],
    'past its inner edge' => [[[-18.0, 3.0], [-18.0, 6.7], [-12.0, 6.7], [-12.0, 3.0]], 0.7],
    'past its outer edge' => [[[-18.0, 28.8], [-18.0, 36.0], [-4.0, 36.0], [-4.0, 28.8]], 1.2],
    'with a corner' => [[[-13.0, 34.0], [-12.0, 28.0], [-11.0, 34.0]], 2.0],
    'wholly, thinner than it' => [[[-20.0, 10.0], [-20.0, 12.0], [-14.0, 12.0], [-14.0, 10.0]], 2.0],
]);

it('overlaps another as far as it must go to come out of it, whichever way', function (int $seed, float $apart): void {
    $one = new Hull($points = scattered($seed, -3.0, 10.0, 6.0, 7));
    $other = new Hull($others = scattered($seed + 500, -3.0 + $apart * cos($seed), 10.0 + $apart * sin($seed), 4.0, 6));
    $least = INF;
    for ($n = 0; $n < 7200; $n++) {
        [$byZ, $byX] = [cos(M_PI * $n / 3600), sin(M_PI * $n / 3600)];
        $along = static fn (array $from): array => array_map(static fn (array $point): float => $point[0] * $byZ + $point[1] * $byX, $from);
        $least = min($least, max($along($points)) - min($along($others)));
    }
    expect($one->overlap($other))->toEqualWithDelta(max(0.0, $least), 0.004)->and($other->overlap($one))->toEqualWithDelta(max(0.0, $least), 0.004);
})->with(range(1, 15))->with([0.0, 5.0, 8.0]);

it('overlaps nothing it only touches', function (): void {
    $one = new Hull([[0.0, 0.0], [0.0, 4.0], [5.0, 0.0], [5.0, 4.0]]);
    expect($one->overlap(new Hull([[5.0, 0.0], [5.0, 4.0], [9.0, 2.0]])))->toBe(0.0)
        ->and($one->overlap(new Hull([[-2.0, 4.0], [7.0, 4.0], [3.0, 9.0]])))->toBe(0.0)
        ->and($one->overlap(new Hull([[4.7, 1.0], [4.7, 3.0], [9.0, 2.0]])))->toEqualWithDelta(0.3, 1e-9);
});
