<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;
use Tests\Core\Bench;

/** @return list<int> cells of each stock of a setup */
function cellsOf(array $changes): array
{
    $run = StockRun::in(Bench::setup($changes));

    return array_map(static fn ($body): int => $body->field->columns * $body->field->rows, $run->bodies);
}

function box(float $long, float $wide, string $work = 'G54'): array
{
    return ['shape' => 'box', 'min' => [0, 0, -10], 'max' => [$long, $wide, 0], 'workOffset' => $work];
}

it('gives each stock cells of its own, so that a small one does not fill the memory with a large one', function (): void {
    $changes = [
        'stock' => box(20, 20), 'moreStock' => [box(600, 400, 'G55')], 'workOffsets' => ['G55' => ['X' => -200, 'Y' => -200, 'Z' => 0]],
        'tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 1, 'centerCutting' => true]],
    ];
    [$small, $large] = cellsOf($changes);
    expect($small)->toBeLessThan(200_000)->toBeGreaterThan(10_000)->and($large)->toBeLessThan(1_600_000);
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $setup = Bench::setup($changes);
    Verification::of(Program::fromText(Bench::sound("G0 X5. Y5.\nZ2.\nG1 Z-1. F100.\nX10.")), $setup, stock: StockRun::in($setup));
    expect(memory_get_peak_usage() - $before)->toBeLessThan(200 * 1024 * 1024);
});

it('has four cells across the radius of a small tool in a large plate, as '
    .'far as there is room', function (float $long, float $wide, float $diameter, float $across): void {
        $setup = Bench::setup(['stock' => box($long, $wide), 'tools' => [['number' => 1, 'kind' => 'drill', 'diameter' => $diameter]]]);
        expect($diameter / 2 / StockRun::in($setup)->cell)->toBeGreaterThan($across);
    })->with([[300.0, 200.0, 2.0, 3.9], [120.0, 80.0, 1.0, 3.9], [1000.0, 600.0, 2.0, 0.9], [300.0, 200.0, 20.0, 9.9]]);
