<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\Lathe;
use Tests\Core\Pointing;

const COMPENSATED = "G21 G99 G40\nT0101\nG97 S1000 M3\nG0 X14. Z3.\nG42 G1 X14. Z0. F0.1\nX18.\nX20. Z-1.\nZ-15.\nG40 G0 X50. Z3.";

it('says where the offset has no nose, or that of another insert', function (string $text, array $changes, int $line): void {
    $found = Bench::findings('turning.nose-data', $run = Lathe::verify($text, $changes));
    Pointing::expect($found[0], $run);
    expect($found)->toHaveCount(1)->and($found[0]->line)->toBe($line)->and($found[0]->severity->value)->toBe('stop');
})->with([
    'no radius' => [COMPENSATED, ['offsets' => ['T' => ['1' => ['R' => 0]]]], 5],
    'no tip' => [
        COMPENSATED, [
            'offsets' => ['T' => ['1' => ['tip' => 0]]],
            'tools' => [['number' => 1, 'kind' => 'turning', 'cornerRadius' => 0.4, 'includedAngle' => 55]],
        ], 5,
    ],
    'another insert' => [COMPENSATED, ['tools' => [['number' => 1, 'kind' => 'turning', 'cornerRadius' => 0.8]]], 5],
]);

it('finds nothing wrong with the right insert', function (): void {
    expect(array_column(Lathe::verify(COMPENSATED)->findings, 'check'))->not->toContain('turning.nose-data');
});
