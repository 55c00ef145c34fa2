<?php

declare(strict_types=1);

use OakTrace\Core\Stock\Turned\Hull;
use OakTrace\Core\Stock\Turned\RadiusProfile;

// A bar of Ø40 with a bore of Ø10 from Z-30 to Z2, in cells of 0.1.

function boredBar(?float $acrossFlats = null): RadiusProfile
{
    return RadiusProfile::bar(-30.0, 2.0, 20.0, 5.0, 0.1, acrossFlats: $acrossFlats);
}

it('loses what a shape meets, to the height of each cell', function (int $seed): void {
    $profile = boredBar();
    $stood = $profile->volume();
    mt_srand($seed);
    $shapes = array_map(static function (): array {
        [$z, $x] = [mt_rand(-330, 40) / 10, mt_rand(-80, 230) / 10];

        return array_map(static fn (): array => [$z + mt_rand(-40, 40) / 10, $x + mt_rand(-60, 60) / 10], range(1, 5));
    }, range(1, 6));
    $taken = 0.0;
    foreach ($shapes as $shape) {
        $seen = $profile->meet(new Hull($shape), false);
        $removed = $profile->meet(new Hull($shape), true);
        expect($removed->volume)->toBe($seen->volume);
        $taken += $removed->volume;
    }
    expect($profile->volume())->toEqualWithDelta($stood - $taken, 1e-6);
    $wrong = 0;
    for ($i = 0; $i < $profile->count(); $i++) {
        $z = -30.0 + ($i + 0.5) * $profile->cell;
        for ($radius = 0.05; $radius < 21.0; $radius += 0.37) {
            $stands = $radius > 5.0 && $radius < 20.0;
            foreach ($shapes as $shape) {
                $hull = new Hull($shape);
                foreach ($z > $hull->least && $z < $hull->most ? [$radius, -$radius] : [] as $at) {
                    [$lower, $upper] = [0, 0];
                    $stands = $stands && ! ($at > $hull->low($z, $lower) && $at < $hull->high($z, $upper));
                }
            }
            $is = false;
            foreach (array_chunk($profile->cells[$i], 2) as [$from, $to]) {
                $is = $is || ($radius > $from && $radius < $to);
            }
            $wrong += $is === $stands ? 0 : 1;
        }
    }
    expect($wrong)->toBe(0);
})->with(range(1, 8));

it('says how much a shape meets, where most, and how far along', function (): void {
    $removed = boredBar()->meet(new Hull([[-5.0, 17.0], [-5.0, 30.0], [3.0, 17.0], [3.0, 30.0]]), true);
    expect($removed->volume)->toEqualWithDelta(M_PI * (20 ** 2 - 17 ** 2) * 7, 1e-6)->and($removed->by())->toEqualWithDelta(3.0, 1e-9)
        ->and($removed->x)->toBe(20.0)->and($removed->z)->toEqualWithDelta(-4.95, 1e-9)->and($removed->width())->toEqualWithDelta(7.0, 1e-9);
    // Past the axis it meets the other side; inside of the bore and outside of the bar nothing.
    expect(boredBar()->meet(new Hull([[-5.0, -8.0], [-5.0, 2.0], [0.0, -8.0], [0.0, 2.0]]), true)->volume)->toEqualWithDelta(M_PI * (64 - 25) * 5, 1e-6)
        ->and(boredBar()->meet(new Hull([[-5.0, -8.0], [-5.0, -6.0], [0.0, -8.0], [0.0, -6.0]]), true)->volume)->toEqualWithDelta(M_PI * (64 - 36) * 5, 1e-6)
        ->and(boredBar()->meet(new Hull([[-5.0, -4.0], [0.0, 4.9]]), true)->volume)->toBe(0.0)
        ->and(boredBar()->meet(new Hull([[-5.0, 20.0], [0.0, 20.0], [0.0, 22.0]]), true)->volume)->toBe(0.0);
});

it('holds of a hexagon what lies within its flats', function (float $radius): void {
    $profile = boredBar(34.0);
    $profile->meet(new Hull([[-40.0, $radius], [9.0, $radius], [9.0, 40.0], [-40.0, 40.0]]), true);
    // Of 100,000 directions those that leave the circle through a flat are as long as the flat lets them be.
    $area = 0.0;
    for ($n = 0; $n < 100_000; $n++) {
        $toFlat = 17.0 / cos(deg2rad(fmod(360.0 * $n / 100_000, 60.0) - 30.0));
        $area += M_PI * min($radius, $toFlat) ** 2 / 100_000;
    }
    expect($profile->volume())->toEqualWithDelta(($area - M_PI * 25) * 32, 0.5);
})->with([12.0, 17.0, 18.0, 19.5]);

it('says how far a shape stands off what has not been cut', function (): void {
    [$profile, $raw] = [boredBar(), boredBar()];
    $profile->meet(new Hull([[-6.0, 15.0], [-6.0, 30.0], [3.0, 15.0], [3.0, 30.0]]), true);
    $over = static fn (float $from, float $to): Hull => new Hull([[$from, 21.5], [$to, 22.5], [$from, 30.0]]);
    expect($profile->gapAcross($over(-5.0, 0.0), $raw))->toBe(INF)->and($profile->gapAcross($over(-20.0, -10.0), $raw))->toEqualWithDelta(1.5, 0.006)
        ->and($profile->gapAcross($over(-8.0, 4.0), $raw))->toEqualWithDelta(1.5, 0.006)
        ->and($profile->gapAcross(new Hull([[-9.0, 18.0], [-8.0, 30.0]]), $raw))->toBe(0.0)
        ->and($raw->gapAlong(new Hull([[3.2, 4.0], [3.2, 9.0], [9.0, 9.0]]), $raw))->toEqualWithDelta(1.2, 1e-9)
        ->and($raw->gapAlong(new Hull([[1.0, 4.0], [3.2, 9.0], [9.0, 9.0]]), $raw))->toBe(0.0)
        ->and($raw->gapAlong(new Hull([[3.2, 20.1], [3.2, 25.0]]), $raw))->toBe(INF)->and($raw->gapAlong(new Hull([[3.2, 1.0], [3.2, 4.9]]), $raw))->toBe(INF)
        ->and($profile->gapAlong(new Hull([[3.2, 4.0], [3.2, 9.0]]), $raw))->toBe(INF);
});

it('lets go of what is cut off from what is held', function (): void {
    $profile = boredBar();
    expect($profile->dropLoose())->toBeNull();
    $profile->meet(new Hull([[-12.0, 4.0], [-12.0, 30.0], [-9.0, 4.0], [-9.0, 30.0]]), true);
    $loose = $profile->dropLoose();
    expect($loose?->volume())->toEqualWithDelta(M_PI * (400 - 25) * 11, 1e-6)->and($profile->volume())->toEqualWithDelta(M_PI * (400 - 25) * 18, 1e-6)
        ->and($loose->from)->toEqualWithDelta(-12.0, 1e-9)->and($loose->radiusAt(-10.0))->toBe(0.0)->and($loose->radiusAt(-5.0))->toBe(20.0)
        ->and($profile->dropLoose())->toBeNull();
    // What is gone at the held end holds nothing either.
    $short = boredBar();
    $short->meet(new Hull([[-40.0, 4.0], [-40.0, 30.0], [-28.0, 4.0], [-28.0, 30.0]]), true);
    expect($short->dropLoose())->toBeNull()->and($short->volume())->toEqualWithDelta(M_PI * 375 * 30, 1e-6);
});

it('is one stretch where it is as thick', function (): void {
    // The cone comes within a tenth of its end two cells before that.
    $outer = [[-20.0, 15.0], [-10.0, 15.0], [-10.0, 12.0], [-4.0, 10.0], [0.0, 10.0]];
    $profile = RadiusProfile::bar(-20.0, 0.0, 20.0, 3.0, 0.1, $outer, [[-5.0, 8.0], [0.0, 8.0]]);
    $stretches = $profile->stretches(0.1);
    expect([$stretches[0][0], $stretches[0][1]])->toEqualWithDelta([-20.0, -10.0], 1e-9)->and($stretches[0][2])->toBe([3.0, 15.0])
        ->and($stretches[count($stretches) - 1][0])->toEqualWithDelta(-4.2, 0.05)->and($stretches[count($stretches) - 1][1])->toEqualWithDelta(0.0, 1e-9)
        ->and($stretches[count($stretches) - 1][2])->toBe([8.0, 10.0])->and($profile->at(-7.05)[1])->toEqualWithDelta(12 - 2 / 6 * 2.95, 1e-6)
        ->and($profile->at(0.1))->toBe([])->and($profile->at(-20.05))->toBe([])->and($profile->edgeBelow(-7.05))->toEqualWithDelta(-7.1, 1e-9)
        ->and($profile->to())->toEqualWithDelta(0.0, 1e-9)->and($profile->cellsAlong(new Hull([[-3.0, 1.0], [-1.0, 4.0]])))->toBe(21);
});
