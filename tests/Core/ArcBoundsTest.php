<?php

declare(strict_types=1);

use OakTrace\Core\Trace\ArcBounds;
use Tests\Core\Bench;

it('finds how low an arc comes, as a look at a thousand places of it does', function (string $plane, string $code, float $radius, float $chord): void {
    [$across, $index] = $plane === 'G18' ? ['X', 0] : ['Y', 1];
    $run = Bench::verify(Bench::sound("G0 {$across}-{$chord}\n{$plane} {$code} {$across}{$chord} Z20. R{$radius} F200.\nG17"), Bench::AT_ZERO);
    $chunk = [...$run->trace->chunks()][0];
    $low = min(ArcBounds::lowest($chunk, $run->trace->states, ['X' => 0, 'Y' => 1, 'Z' => 2], 'Z'));
    $row = $chunk->arcRows()[0];
    [$first, $second, $sweep] = [$chunk->arcFirst()[0], $chunk->arcSecond()[0], deg2rad($chunk->arcSweep()[0])];
    // The plane's own first axis is Z in ZX, and Y in YZ.
    $start = $plane === 'G18' ? [$chunk->axis(2)[$row - 1], $chunk->axis(0)[$row - 1]] : [$chunk->axis(1)[$row - 1], $chunk->axis(2)[$row - 1]];
    $looked = INF;
    for ($n = 0; $n <= 1000; $n++) {
        $angle = $sweep * $n / 1000;
        [$a, $b] = [$start[0] - $first, $start[1] - $second];
        $at = [$first + $a * cos($angle) - $b * sin($angle), $second + $a * sin($angle) + $b * cos($angle)];
        $looked = min($looked, $at[$plane === 'G18' ? 0 : 1]);
    }
    $heights = array_slice($chunk->axis(2), 0, $chunk->count);
    expect($low)->toEqualWithDelta(min($looked, ...$heights), 1e-4)->and($chunk->axis($index)[$row])->not->toBe($chunk->axis($index)[$row - 1]);
})->with(['G18', 'G19'])->with(['G2', 'G3'])->with([[12.0, 10.0], [10.5, 10.0]]);

it('leaves level arcs and straight moves as they are', function (): void {
    $run = Bench::verify(Bench::sound("G0 X-10.\nG1 Z-1. F100.\nG2 X10. R12. F200.\nX20."));
    $chunk = [...$run->trace->chunks()][0];
    expect(ArcBounds::lowest($chunk, $run->trace->states, ['X' => 0, 'Y' => 1, 'Z' => 2], 'Z'))->toBe($chunk->axis(2));
});
