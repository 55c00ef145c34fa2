<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Pass;
use OakTrace\Core\Checks\Step;
use Tests\Core\Bench;

/** @param  array{float, float}  ...$points */
function pass(float $radius, array ...$points): Pass
{
    $pass = new Pass(1, 1, -1.0, $radius);
    foreach ($points as [$x, $y]) {
        $pass->include($x, $y);
    }

    return $pass;
}

it('knows whether most of another pass lies on the ground it swept', function (Pass $first, Pass $second, bool $isUnder): void {
    expect($first->isUnder($second))->toBe($isUnder);
})->with([
    'the same line again' => [pass(5, [0, 0], [100, 0]), pass(5, [0, 0], [100, 0]), true],
    'a line within its width' => [pass(5, [0, 0], [100, 0]), pass(5, [0, 4], [100, 4]), true],
    'a line beside it' => [pass(5, [0, 0], [100, 0]), pass(5, [0, 6], [100, 6]), false],
    'twice as long' => [pass(5, [0, 0], [40, 0]), pass(5, [0, 0], [100, 0]), false],
    'a pocket in a field' => [pass(5, [0, 0], [100, 80]), pass(5, [20, 20], [60, 50]), true],
    'a field over a pocket' => [pass(5, [20, 20], [60, 50]), pass(5, [0, 0], [100, 80]), false],
]);

it('reckons each step from the ground the passes before have left', function (): void {
    $text = Bench::sound("G0 X-60. Y0.\nG1 Z-2. F100.\nX60. F300.\nZ-5. F100.\nX-60. F300.\nG0 Z5.\nX-60. Y30.\nG1 Z-4. F100.\nX60. F300.\nG0 Z25.");
    $steps = Bench::verify($text)->input->passes->steps();
    expect(
        array_map(fn (Step $step): array => [$step->pass->line, $step->depth, $step->usual()], $steps),
    )->toBe([[8, 2.0, 0.0], [10, 3.0, 2.0], [14, 4.0, 0.0]]);
});

it('gives up on a surface, which has no step-down', function (): void {
    $passes = Bench::verify(
        Bench::sound(implode("\n", array_map(fn (int $i): string => sprintf("G1 X%d. Z-%.2f F300.\nX%d.", $i % 40, 1 + $i / 100, $i % 40 + 1), range(1, 400)))),
    )->input->passes;
    expect($passes->tooMany)->toBeTrue()->and($passes->steps())->toBe([]);
});
