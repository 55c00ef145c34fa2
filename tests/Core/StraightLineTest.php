<?php

declare(strict_types=1);

use OakTrace\Core\Formats\TraceLines;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Verification;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Bench;

/** Blocks of a few shapes in runs, some of which go nowhere. */
function runsOfBlocks(int $seed): array
{
    $random = new Randomizer(new Mt19937($seed));
    $pick = static fn (array $of): string => $of[$random->getInt(0, count($of) - 1)];
    $lines = ['G21 G17 G40 G49 G80 G94', 'T1 M6', 'G54 G90 G0 X0. Y0.', 'S3000 M3', 'G43 H1 Z25.', 'G1 Z-1. F200.', $pick(['G90', 'G91'])];
    for ($run = 0; $run < 12; $run++) {
        $shape = $pick(['X', 'XY', 'XZ', 'ZX', 'G1XY', 'G01X', 'NXY', 'XYZ', 'G0X', 'XF', 'N', 'GX']);
        for ($i = $random->getInt(1, 12); $i > 0; $i--) {
            $lines[] = (string) preg_replace_callback('/([XYZFN])|G(?!\d)/', static fn (array $word): string => match ($word[0]) {
                'F' => ' F'.$pick(['150.', '200.']), 'N' => 'N'.$pick(['5', '10']), 'G' => $pick(['G0', 'G1']), default => ' '.$word[0]
                    .$pick(['1.', '1.', '0.', '-.5', '+2.25', '1.0']),
            }, $shape);
        }
    }

    return [...$lines, 'M30'];
}

it('comes to the same by runs of blocks as block by block', function (): void {
    $setup = Bench::setup(Bench::AT_ZERO);
    $rows = 0;
    for ($seed = 1; $seed <= 60; $seed++) {
        $lines = runsOfBlocks($seed);
        // A block with a remark is none of a run.
        [$short, $long] = array_map(static fn (array $lines): array => iterator_to_array(
            TraceLines::of(Verification::of(Program::fromText(implode("\n", $lines)), $setup)->trace, $setup), false,
        ), [
            $lines, array_map(static fn (string $line): string => "{$line} (SO)", $lines),
        ]);
        expect($short)->toBe($long);
        $rows += count($short);
    }
    expect($rows)->toBeGreaterThan(2_000);
});
