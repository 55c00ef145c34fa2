<?php

declare(strict_types=1);

use OakTrace\Core\Formats\DrawingColumns;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Verification;
use Tests\Core\Judge\Contour;
use Tests\Core\Judge\PolygonOffsets;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

const CONTOUR = "G21 G99 G40\nT0101\nG97 S1000 M3\nG0 X14. Z3.\nG42 G1 X14. Z0. F0.1\nX18.\nX20. Z-1.\nZ-15.\n"
    ."G2 X24. Z-17. R2.\nG1 X28.\nG3 X32. Z-19. R2.\nG1 Z-25.\nX44.\nG40 G0 X50. Z3.";

it('runs the tip so that the nose cuts the programmed line', function (): void {
    expect(Lathe::cuts(CONTOUR))->toEqualWithDelta([
        [13.2, 0], [17.2, 0], [17.7657, -0.1172], [19.7657, -1.1172], [20, -1.4], [20, -15.4], [23.2, -17], [27.2, -17], [32, -19.4], [32, -25], [43.2, -25],
    ], 1e-4);
    $rows = Lathe::moves(CONTOUR);
    expect(end($rows)['to'])->toEqualWithDelta([25, 0, 3], 1e-9);
});

it('draws corners out where the control does', function (): void {
    $cuts = Lathe::cuts(CONTOUR, ['machine' => ['control' => ['outsideCorner' => 'extended']]]);
    foreach ([[17.5314, 0.0], [20.0, -1.2343]] as $wanted) {
        expect(array_filter($cuts, fn (array $at): bool => hypot($at[0] - $wanted[0], $at[1] - $wanted[1]) < 1e-3))->toHaveCount(1);
    }
});

it('steps aside by quadrant and side', function (int $tip, string $program, array $first): void {
    expect(Lathe::cuts("G21 G99\nT0101\nG97 S1000 M3\n{$program}", ['offsets' => ['T' => ['1' => ['tip' => $tip]]]])[0])->toEqualWithDelta($first, 1e-9);
})->with([
    // On a cylinder the tip of a tool set on its own side stays where it is programmed.
    'a bore, towards the chuck' => [2, "G0 X20. Z5.\nG41 G1 X24. Z2. F0.1\nZ-10.", [24.0, 1.6]],
    'outside, away from the chuck' => [4, "G0 X30. Z-20.\nG41 G1 X24. Z-18. F0.1\nZ0.", [24.0, -17.6]],
    'set by its middle' => [9, "G0 X30. Z5.\nG42 G1 X24. Z2. F0.1\nZ-10.", [24.8, 2.0]],
]);

it('finishes with compensation switched on in the blocks of the shape', function (): void {
    $rows = Lathe::moves("G21 G99\nT0101\nG97 S1000 M3\nG0 X42. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\n"
        ."N10 G0 G42 X20.\nG1 Z-20. F0.1\nX30. Z-30.\nN20 G40 X42.\nG70 P10 Q20");
    $finish = array_values(array_filter($rows, fn (array $row): bool => $row['line'] >= 7));
    // The cone at 26.57 degrees begins later by r (1 - tan(13.28)).
    expect($finish[1]['to'][2])->toEqualWithDelta(-20 - 0.4 * (1 - tan(atan(0.5) / 2)), 1e-4)
        ->and(array_filter($rows, fn (array $row): bool => $row['line'] === 6 && $row['compensated']))->toBe([]);
});

/*
 * Judged by clipper-lib, a general-purpose library for clipping and offsetting polygons: 240 contours of lines and arcs on both
 * sides, with every tip and with round and extended corners. The tip stands off the middle of the nose by the vectors written here.
 */
it('leaves compensation that is on out of roughing', function (): void {
    $rough = static function (string $code): array {
        $text = LatheCases::READY."G0 X46. Z6.\n{$code}G1 X42. Z2. F0.2\nG71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.3\nN10 G0 X20.\nG1 Z-10.\nN20 X42.\n"
            ."G40 G0 X60. Z10.\nM30";
        $rows = array_filter(Lathe::moves($text, LatheCases::BAR), static fn (array $row): bool => $row['line'] === 8 && $row['kind'] !== 'rapid');

        return array_count_values(array_map(static fn (array $row): string => sprintf('%s to Z%.4F', $row['kind'], $row['to'][2]), $rows));
    };
    expect($rough('G42 '))->toBe(['feed to Z-9.9000' => 7])->and($rough(''))->toBe(['feed to Z-9.9000' => 7]);
});

it('runs the middle of the nose where a polygon library puts the offset, within 0.001 mm', function (): void {
    $tips = [[0, 0], [1, 1], [-1, 1], [-1, -1], [1, -1], [1, 0], [0, 1], [-1, 0], [0, -1], [0, 0]];
    $tasks = [];
    for ($seed = 1; $seed <= 240; $seed++) {
        [$tip, $side, $radius, $corner] = [$seed % 10, $seed % 3 === 0 ? 1 : -1, 0.4 + $seed % 4 * 0.4, $seed % 7 === 0 ? 'extended' : 'arc'];
        $contour = Contour::random($seed, $corner === 'arc');
        // The text is that of the plane on a mill, its X written as diameters.
        $text = (string) preg_replace_callback(
            '/X(-?[0-9.]+)/', fn (array $x): string => sprintf('X%.9f', 2 * (float) $x[1]),
            str_replace(' D1', '', $contour->program('G18', ['Z', 'X', 'K', 'I'], $side, $radius)),
        );
        $rows = Lathe::moves("G21 G94\nT0101\nG97 S1000 M3\n{$text}", [
            'machine' => ['control' => ['profile' => 'iso-lathe-b', 'outsideCorner' => $corner]],
            'offsets' => ['T' => ['1' => ['R' => $radius, 'tip' => $tip]]],
        ]);
        $middle = fn (array $at): array => [$at[2] - $radius * $tips[$tip][0], $at[0] - $radius * $tips[$tip][1]];
        $path = array_map(fn (array $row): array => ['a' => $middle($row['from']), 'b' => $middle($row['to'])] + (
            isset($row['sweep']) ? ['centre' => $middle($row['center']), 'sweep' => deg2rad($row['clockwise'] ? -$row['sweep'] : $row['sweep'])] : []
        ), array_slice(array_values(array_filter($rows, fn (array $row): bool => $row['compensated'])), 1, -1));
        $tasks[] = ['contour' => $contour->polygon(), 'outwards' => -$side * $radius, 'corner' => $corner, 'path' => $path];
    }
    $distances = PolygonOffsets::distances($tasks);
    expect($distances)->toHaveCount(240)->and(min($distances))->toBeGreaterThanOrEqual(0.0)->and(max($distances))->toBeLessThan(0.001);
});

it('draws the programmed arc about its own centre, and not about that of the tip', function (): void {
    $setup = Lathe::setup(array_replace_recursive(LatheCases::BAR, ['offsets' => ['T' => ['1' => ['R' => 0.8, 'tip' => 3]]]]));
    $text = LatheCases::READY."G0 X30. Z3.\nG42 X10. Z2.\nG1 Z0. F0.2\nX20.\nG3 X30. Z-5. R5.\nG1 Z-10.\nX44.\nG40 G0 X80. Z5.";
    $columns = DrawingColumns::of(Verification::trace(Program::fromText(Lathe::whole($text)), $setup), $setup);
    $round = [];
    foreach ($columns->numbers('programmedX') as $i => $x) {
        $z = $columns->numbers('programmedZ')[$i];
        if ($x > 10.01 && $z > -4.99 && $z < -0.01 && $x < 15.0) {
            $round[] = hypot($x - 10.0, $z + 5.0);
        }
    }
    expect(count($round))->toBeGreaterThan(5)->and(min($round))->toEqualWithDelta(5.0, 1e-4)->and(max($round))->toEqualWithDelta(5.0, 1e-4);
});
