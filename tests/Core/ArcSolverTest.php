<?php

declare(strict_types=1);

use Eris\Generator\ChooseGenerator;
use Eris\TestTrait;
use OakTrace\Core\Interpreter\ArcSolver;

uses(TestTrait::class);

it('finds the centre and sweep of the radius form', function (array $end, float $radius, bool $clockwise, array $center, float $sweep): void {
    $arc = new ArcSolver(0.002);
    expect($arc->fromRadius(0.0, 0.0, (float) $end[0], (float) $end[1], $radius, $clockwise))->toBe(ArcSolver::OK)
        ->and([$arc->centerFirst, $arc->centerSecond])->toEqualWithDelta($center, 1e-9)
        ->and($arc->sweep)->toEqualWithDelta($sweep, 1e-9);
})->with([
    'quarter to the left' => [[10, 10], 10.0, false, [0, 10], 90],
    'quarter to the right' => [[10, 10], 10.0, true, [10, 0], -90],
    'the long way to the left' => [[10, 10], -10.0, false, [10, 0], 270],
    'the long way to the right' => [[10, 10], -10.0, true, [0, 10], -270],
    'a half turn' => [[20, 0], 10.0, false, [10, 0], 180],
    'a half turn the other way' => [[20, 0], 10.0, true, [10, 0], -180],
    'a half turn a hair too small' => [[20, 0], 9.999, true, [10, 0], -180],
]);

it('says what is wrong with an arc that cannot be', function (callable $solve, string $problem): void {
    expect($solve(new ArcSolver(0.002)))->toBe($problem);
})->with([
    'too small a radius' => [fn (ArcSolver $arc): string => $arc->fromRadius(0, 0, 20, 0, 9.99, true), ArcSolver::RADIUS_TOO_SMALL],
    'no way to go' => [fn (ArcSolver $arc): string => $arc->fromRadius(5, 5, 5, 5, 9, true), ArcSolver::RADIUS_WITHOUT_END],
    'centre at the start' => [fn (ArcSolver $arc): string => $arc->fromCenter(0, 0, 5, 5, 0, 0, true), ArcSolver::NO_CENTRE],
    'ends too far apart' => [fn (ArcSolver $arc): string => $arc->fromCenter(0, 0, 10.0021, 0, 5, 0, true), ArcSolver::RADIUS_MISMATCH],
    'ends just near enough' => [fn (ArcSolver $arc): string => $arc->fromCenter(0, 0, 10.0019, 0, 5, 0, true), ArcSolver::OK],
]);

/** Closed form: a point turned by the sweep about the centre is the end, and both ends are one radius away. */
it('turns the start into the end', function (): void {
    $this->limitTo(200)->forAll(
        new ChooseGenerator(-900, 900), new ChooseGenerator(-900, 900), new ChooseGenerator(1, 400), new ChooseGenerator(0, 3),
    )->then(function (int $x, int $y, int $more, int $way): void {
        if ($x === 0 && $y === 0) {
            return;
        }
        $radius = (hypot($x, $y) / 2 + $more / 10) * ($way < 2 ? 1 : -1);
        $clockwise = $way % 2 === 0;
        $arc = new ArcSolver(0.002);
        expect($arc->fromRadius(3, 4, 3 + $x, 4 + $y, $radius, $clockwise))->toBe(ArcSolver::OK);
        $angle = deg2rad($arc->sweep);
        [$fromX, $fromY] = [3 - $arc->centerFirst, 4 - $arc->centerSecond];
        expect(hypot($fromX, $fromY))->toEqualWithDelta(abs($radius), 1e-6)
            ->and($arc->centerFirst + $fromX * cos($angle) - $fromY * sin($angle))->toEqualWithDelta(3 + $x, 1e-6)
            ->and($arc->centerSecond + $fromX * sin($angle) + $fromY * cos($angle))->toEqualWithDelta(4 + $y, 1e-6)
            ->and($arc->sweep < 0)->toBe($clockwise)
            ->and(abs($arc->sweep) > 180)->toBe($radius < 0);
        $sweep = $arc->sweep;
        // The centre form of the same arc is the same arc.
        expect($arc->fromCenter(3, 4, 3 + $x, 4 + $y, -$fromX, -$fromY, $clockwise))->toBe(ArcSolver::OK)->and($arc->sweep)->toEqualWithDelta($sweep, 1e-6);
    });
});
