<?php

declare(strict_types=1);

use OakTrace\Core\Stock\Compared\SizeResult;
use OakTrace\Core\Target\Dimension;
use OakTrace\Core\Target\Feature;
use OakTrace\Core\Target\Outline;

it('tells what is scrap from what can still be taken off', function (string $what, bool $stands, float $got, bool $within, bool $scrap): void {
    $feature = new Feature('it', $stands ? 'boss' : 'hole', Outline::circle(0, 0, 10), -5.0, false, $stands, []);
    $wanted = $what === 'place' ? new Dimension('place', 0.0, 0.0, 0.1) : new Dimension($what, 10.0, 9.9, 10.1);
    $size = new SizeResult($feature, $wanted, $got, 1);
    expect([$size->isWithin(), $size->isScrap()])->toBe([$within, $scrap]);
})->with([
    'a hole as drawn' => ['diameter', false, 10.0, true, false],
    'a hole on its limit' => ['diameter', false, 10.1, true, false],
    'a hole as near its limit as can be measured' => ['diameter', false, 10.1004, true, false],
    'a hole too large' => ['diameter', false, 10.2, false, true],
    'a hole too small' => ['diameter', false, 9.8, false, false],
    'too deep' => ['depth', false, 10.2, false, true],
    'not deep enough' => ['depth', false, 9.8, false, false],
    'a boss too thin' => ['diameter', true, 9.8, false, true],
    'a boss too thick' => ['diameter', true, 10.2, false, false],
    'a boss too low' => ['height', true, 9.8, false, true],
    'a boss too high' => ['height', true, 10.2, false, false],
    'beside its place' => ['place', false, 0.2, false, true],
    'a corner too round' => ['corner', false, 10.2, false, false],
    'a corner cut too sharp' => ['corner', false, 9.8, false, true],
    'the corner of a boss cut too round' => ['corner', true, 10.2, false, true],
    'the corner of a boss left too sharp' => ['corner', true, 9.8, false, false],
]);

it('is neither where it could not be measured', function (): void {
    $feature = new Feature('it', 'hole', Outline::circle(0, 0, 10), -5.0, false, false, []);
    $size = new SizeResult($feature, new Dimension('diameter', 10.0, 9.9, 10.1), null, null);
    expect([$size->isWithin(), $size->isScrap()])->toBe([false, false]);
});
