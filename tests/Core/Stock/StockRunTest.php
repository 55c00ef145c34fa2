<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Stock\Body;
use OakTrace\Core\Stock\Cutter;
use OakTrace\Core\Stock\Engagement;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Stock\Sweep;
use OakTrace\Core\Stock\UnfollowedReason;
use OakTrace\Core\Trace\Row;
use OakTrace\Core\Verification;
use Tests\Core\Bench;
use Tests\Core\Demo;

/**
 * @return array{StockRun, list<array{line: int, depth: float, width: float, angle: float, volume: float, air: int, marks: int}>} and
 *         what its moves at feed cut
 */
function cutting(string $lines, array $changes = [], float $cell = 0.2): array
{
    $setup = Bench::setup($changes);
    $run = Verification::of(Program::fromText(Bench::sound($lines)), $setup, stock: $stock = StockRun::in($setup, $cell));
    $rows = [];
    foreach ($run->trace->each() as $row) {
        if ($row->kind === 1 || $row->kind === 2) {
            $rows[] = ['line' => $row->line] + array_map(
                fn (string $name): float|int => $stock->engagement->column($name)[$row->number],
                array_combine($names = ['depth', 'width', 'angle', 'volume', 'air', 'marks'], $names),
            );
        }
    }

    return [$stock, $rows];
}

it('knows how wide and over what angle a side cut goes', function (float $wide): void {
    // The part ends at Y-40; a 10 mm cutter along it takes so much aside. Engaged angle: arccos(1 − ae / R) (geometry).
    [, $rows] = cutting('X-60. Y'.(-45.0 + $wide)."\nZ2.\nG1 Z-3. F300.\nX60.\nG0 Z25.");
    $angle = rad2deg(acos(1 - $wide / 5));
    expect($rows[1]['width'])->toEqualWithDelta($wide, 0.15)->and($rows[1]['angle'])->toEqualWithDelta($angle, 4.0)
        ->and($rows[1]['depth'])->toEqualWithDelta(3.0, 1e-6)->and($rows[1]['volume'])->toEqualWithDelta(100 * $wide * 3, 100 * 0.11 * 3)
        ->and($rows[1]['marks'] & Engagement::KNOWN)->toBe(Engagement::KNOWN);
})->with([1.0, 2.5, 5.0, 7.5, 9.0]);

it('sees a full slot, the air on the way to it, and a middle that goes down into material', function (): void {
    [, $rows] = cutting("X-60.\nZ2.\nG1 Z-3. F300.\nX60.\nX-60.\nG0 Z2.\nX0. Y20.\nG1 Z-5. F100.\nX10. Y20. Z-8.\nG0 Z25.");
    [$beside, $slot, $back, $plunge, $ramp] = $rows;
    expect($beside['volume'])->toBe(0.0)->and($beside['air'])->toBe(100)
        ->and($slot['angle'])->toBe(180.0)->and($slot['width'])->toEqualWithDelta(10.0, 0.01)->and($slot['air'])->toBeGreaterThan(3)->toBeLessThan(25)
        ->and($back['volume'])->toBe(0.0)->and($back['air'])->toBe(100)
        ->and($plunge['marks'] & Engagement::CENTRE)->toBe(Engagement::CENTRE)
        ->and($plunge['volume'])->toEqualWithDelta(M_PI * 25 * 5, 2.0)
        ->and($plunge['air'])->toBe(29)
        ->and($ramp['marks'] & Engagement::CENTRE)->toBe(Engagement::CENTRE)->and($slot['marks'] & Engagement::CENTRE)->toBe(0);
});

it('takes from the stock what its moves take, in every plane', function (): void {
    [$stock, $rows] = cutting("Z2.\nX-20. Y0.\nG1 Z0. F300.\nG18 G2 X20. Z0. I20. K40.\nG17 G0 Z2.\nX0. Y20.\nG1 Z-4. F100.\nG2 X10. Y30. I10. J0.\nG0 Z25.");
    expect(array_sum(array_column($rows, 'volume')))->toEqualWithDelta($stock->bodies[0]->removed, 1e-2)
        ->and($stock->bodies[0]->removed + $stock->field()->volume())->toEqualWithDelta(100 * 80 * 25, 1e-3)->and($stock->isComplete())->toBeTrue()
        // A flat end along an arc in XZ: as deep as the arc goes, at its middle.
        ->and($rows[1]['depth'])->toEqualWithDelta(sqrt(2000.0) - 40, 0.05);
});

it('says why a run is not taken out of the stock to its end', function (): void {
    $setup = Bench::setup();
    Verification::of(Program::fromText(Bench::sound("Z2.\nG1 Z-3. F300.\nX40.\nY30.\nG0 Z25.")), $setup, stock: $short = StockRun::in($setup, 0.2, 100));
    Verification::of(Program::fromText(Demo::text('1820')), $bare = Demo::setup('1820')->with(rotaryCenters: []), stock: $turned = StockRun::in($bare));
    [$unknown] = cutting("Z2.\nG1 Z-3. F300.\nX40.\nG0 Z25.", ['tools' => [['number' => 1, 'kind' => 'end-mill']]]);
    expect([$short->isTooLong, $short->isComplete()])->toBe([true, false])
        ->and([$turned->lost, $turned->isComplete()])->toBe([UnfollowedReason::NoCenter, false])
        ->and([$unknown->unknownTools, $unknown->removed()])->toBe([[1 => true], 0.0])
        ->and(StockRun::in(Bench::setup(['stock' => null])))->toBeNull();
});

it('has coarser cells for a run of ten times what it may look at, and none for one of a hundred times', function (): void {
    $run = static function (int $mostVisits, ?float $cell = null): StockRun {
        Verification::of(
            Program::fromText(Bench::sound("Z2.\nG1 Z-3. F300.\nX40.\nY30.\nG0 Z25.")), Bench::setup(),
            stock: $stock = StockRun::in(Bench::setup(), $cell, $mostVisits),
        );

        return $stock;
    };
    $effort = (int) (new ReflectionProperty(StockRun::class, 'effort'))->getValue($all = $run(PHP_INT_MAX - 1));
    // 5 down, 40 and 30 along, each with half a circle of the cutter of 10 ahead, in cells.
    expect($effort)->toEqualWithDelta((2 * 75 + 3 * M_PI_2 * 5) * 5 / $all->cell ** 2, 2.0);
    [$tenfold, $hundredfold] = [$run(intdiv($effort, 10)), $run(intdiv($effort, 100))];
    expect($tenfold->isTooLong)->toBeTrue()->and($tenfold->coarserCell())->toBeGreaterThan(3 * $tenfold->cell)
        ->and($run(intdiv($effort, 10), $tenfold->coarserCell())->isComplete())->toBeTrue()
        ->and($hundredfold->coarserCell())->toBeNull();
});

it('cuts a round stock, and nothing beside it', function (): void {
    $round = ['stock' => ['shape' => 'cylinder', 'diameter' => 60, 'length' => 30, 'min' => null, 'max' => null]];
    [$stock] = cutting("X-60.\nZ2.\nG1 Z-3. F300.\nX60.\nG0 Z25.", $round);
    // A strip 10 wide through the middle of a circle: its chord area (geometry).
    $strip = 2 * (5 * sqrt(900 - 25) + 900 * asin(5 / 30));
    expect($stock->removed())->toEqualWithDelta($strip * 3, 8.0)->and($stock->field()->at(-29.0, 25.0))->toBe(-INF);
});

it('cuts the second of two plates where the tool comes over it by less than its radius', function (): void {
    [$stock] = cutting("G55 X-53. Y-60.\nG0 Z2.\nG1 Z-3. F300.\nY60.\nG0 Z25.", [
        'workOffsets' => ['G55' => ['X' => -200, 'Y' => -200, 'Z' => 0]],
        'moreStock' => [['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0], 'workOffset' => 'G55']],
    ]);
    expect(array_map(static fn (Body $body): float => round($body->removed), $stock->bodies))->toBe([0.0, 480.0]);
});

it('keeps how the stock stands at the moments asked for', function (): void {
    $setup = Bench::setup();
    $trace = Verification::trace(Program::fromText(Bench::sound("Z2.\nG1 Z-3. F300.\nX40.\nG0 Z25.")), $setup);
    $stock = StockRun::in($setup, 0.5);
    $plunge = array_values(array_filter(iterator_to_array($trace->each(), false), fn (Row $row): bool => $row->kind === 1))[0]->number;
    $stock->keepBefore([0, $plunge + 1, $trace->rows()]);
    $trace->show($stock);
    $lowered = array_map(fn (array $heights): int => count(array_filter($heights[0], fn (float $height): bool => $height < 0.0)), $stock->kept());
    expect(array_keys($lowered))->toBe([0, $plunge + 1, $trace->rows()])->and($lowered[0])->toBe(0)
        ->and($lowered[$plunge + 1])->toBeGreaterThan(0)->toBeLessThan($lowered[$trace->rows()])
        ->and($stock->kept()[$trace->rows()][0])->toBe($stock->field()->heights);
});

it('keeps no more of one fault than a reader can use', function (): void {
    [$stock] = cutting("Z2.\n".implode("\n", array_map(fn (int $i): string => 'G0 Z-'.(0.05 * $i)."\nZ2.", range(1, 300))), cell: 1.0);
    expect(count($stock->incidents->of(Incident::RapidCuts)[1]))->toBeLessThanOrEqual(200);
});

it('cuts the same, however it is written', function (string $one, string $other, array $changes = []): void {
    [$first, $firstRows] = cutting($one, $changes);
    [$second, $secondRows] = cutting($other, $changes);
    expect($second->removed())->toEqualWithDelta($first->removed(), 1e-3 * $first->removed())->and($second->removed())->toBeGreaterThan(100.0)
        ->and($second->field()->heights)->toEqualWithDelta($first->field()->heights, 1e-4)
        ->and(max(array_column($secondRows, 'depth')))->toEqualWithDelta(max(array_column($firstRows, 'depth')), 1e-4);
})->with([
    'in places and in steps' => ["Z2.\nG1 Z-3. F300.\nX30.\nY20.\nG0 Z25.", "Z2.\nG91 G1 Z-5. F300.\nX30.\nY20.\nG90 G0 Z25."],
    'in millimetres and in inches' => ["Z2.54\nG1 Z-2.54 F254.\nX25.4\nG0 Z25.4", "G20 Z.1\nG1 Z-.1 F10.\nX1.\nG0 Z1.\nG21"],
    'in one text and in a called one' => [
        "Z2.\nG1 Z-3. F300.\nX30.\nX0.\nY-20.\nX30.\nG0 Z25.", "Z2.\nG1 Z-3. F300.\nM98 P2000\nX0.\nY-20.\nM98 P2000\nG0 Z25.",
        ['subprograms' => ['O2000' => "O2000\nX30.\nM99"]],
    ],
    'with the path and beside it' => [
        "Y-60.\nZ2.\nG1 Z-3. F300.\nG41 D1 X-30. Y-45.\nX30.\nG40 Y-60.\nG0 Z25.", "Y-60.\nZ2.\nG1 Z-3. F300.\nX-30. Y-40.\nX30.\nY-60.\nG0 Z25.",
    ],
    'in a round by its radius and by its centre' => [
        "Z2.\nX20.\nG1 Z-3. F300.\nG3 X-20. R20.\nG0 Z25.", "Z2.\nX20.\nG1 Z-3. F300.\nG3 X-20. I-20. J0.\nG0 Z25.",
    ],
    'by a cycle and by hand' => ["G98 G81 X10. Y0. Z-20. R2. F100.\nG80", "X10. Y0.\nG0 Z2.\nG1 Z-20. F100.\nG0 Z25."],
]);

it('cuts a mirrored program as much', function (): void {
    [$right] = cutting("Z2.\nG1 Z-3. F300.\nX30.\nG3 X40. Y10. I0. J10.\nG0 Z25.");
    [$left] = cutting("G51.1 X0.\nZ2.\nG1 Z-3. F300.\nX30.\nG3 X40. Y10. I0. J10.\nG0 Z25.\nG50.1 X0.");
    expect($left->removed())->toEqualWithDelta(
        $right->removed(), 0.002 * $right->removed(),
    )->and($left->field()->at(-30.0, 0.0))->toBe(-3.0)->and($left->field()->at(30.0, 0.0))->toBe(0.0);
});

it('cuts as deep and as wide however many moves its way is divided into', function (string $kind, float $aside, int $moves): void {
    $tool = ['number' => 1, 'kind' => $kind, 'diameter' => 10, 'fluteLength' => 30] + ($kind === 'bull-mill' ? ['cornerRadius' => 2] : []);
    $most = static function (int $moves) use ($tool, $aside): array {
        $ways = array_map(static fn (int $n): string => sprintf('X%.3f Z%.3f', -30 + 60 * $n / $moves, -4.0 - 0.01 * ($n % 2)), range(1, $moves));
        [, $rows] = cutting(sprintf("X-30. Y%.3f\nZ2.\nG1 Z-4. F300.\n", $aside).implode("\n", $ways)."\nG0 Z25.", ['tools' => [$tool]], 0.25);
        $cuts = array_slice($rows, 1);

        return array_map(static fn (string $name): float => max(array_column($cuts, $name)), ['depth', 'width', 'angle']);
    };
    [$depth, $width, $angle] = $most(1);
    [$shortDepth, $shortWidth, $shortAngle] = $most($moves);
    expect($shortDepth)->toEqualWithDelta($depth, 0.02)->and($shortWidth)->toEqualWithDelta($width, 0.3)->and($shortAngle)->toEqualWithDelta($angle, 5.0);
})->with(['ball-mill', 'bull-mill', 'end-mill'])->with(['slot' => 0.0, 'side' => -43.0])->with([12, 60, 300]);

it('begins anew where short moves come back over what they have cut', function (): void {
    $level = static fn (float $z, int $way): string => implode(
        "\n", array_map(static fn (int $n): string => sprintf('X%.2f Z%.2f', $way * (-20 + $n), $z), range(1, 40)),
    );
    [, $rows] = cutting("X-20. Y0.\nZ2.\nG1 Z-1. F300.\n".$level(-1.0, 1)."\n".$level(-2.0, -1)."\n".$level(-3.0, 1)."\nG0 Z25.", cell: 0.25);
    // Its last move comes to where the level above has not been: it ends as a ramp.
    expect(max(array_column(array_slice($rows, 1, -1), 'depth')))->toBeLessThan(1.01);
});

it('takes as much in short moves of a ball, aslant, in coarse cells as in fine ones', function (): void {
    $lines = "Z2.\nX0. Y5.\nG1 Z-6. F200.\n".implode("\n", array_map(
        static fn (int $n): string => sprintf('X%.3f Y%.3f', 0.8 * $n, 5 + 0.5 * $n), range(1, 30),
    ));
    $ball = ['tools' => [['number' => 1, 'kind' => 'ball-mill', 'diameter' => 16, 'fluteLength' => 30]]];
    [$fine, $coarse] = array_map(static fn (float $cell): float => 200000 - cutting($lines, $ball, $cell)[0]->field()->volume(), [0.25, 2.0]);
    expect($coarse)->toEqualWithDelta($fine, 0.06 * $fine);
});

it('finds a slot in short moves as in one', function (int $moves, int $told): void {
    $ways = array_map(static fn (int $n): string => sprintf('X%.3f', -30 + 60 * $n / $moves), range(1, $moves));
    [$stock] = cutting("X-30. Y0.\nZ2.\nG1 Z-4. F300.\n".implode("\n", $ways)."\nG0 Z25.");
    expect(count($stock->incidents->of(Incident::Slot)[1] ?? []))->toBe($told);
})->with(['one' => [1, 1], 'six as wide as the tool' => [6, 5], 'thirty' => [30, 24], 'six hundred' => [600, 200]]);

it('leaves of short moves what each of them by itself would', function (string $kind, int $seed): void {
    mt_srand($seed);
    $random = static fn (float $from, float $to): float => $from + ($to - $from) * mt_rand() / mt_getrandmax();
    $tool = ['number' => 1, 'kind' => $kind, 'diameter' => 10, 'fluteLength' => 30] + ($kind === 'bull-mill' ? ['cornerRadius' => 2] : []);
    [$x, $y, $z, $way] = [round($random(-30, 30), 3), round($random(-25, 25), 3), -2.0, $random(0, 2 * M_PI)];
    $places = [[$x, $y, 2.0], [$x, $y, $z]];
    for ($n = 0; $n < 250; $n++) {
        // Mostly on, now and then about; level, or up and down as steeply as any of them goes.
        $way += mt_rand(0, 14) === 0 ? $random(-3, 3) : $random(-0.3, 0.3);
        // As in most programs, along an axis.
        $way = $seed > 2 ? round($way / M_PI_2) * M_PI_2 : $way;
        $length = mt_rand(0, 14) === 0 ? $random(5, 20) : $random(0.05, 2);
        $x = round(max(-48, min(48, $x + $length * cos($way))), 3);
        $y = round(max(-38, min(38, $y + $length * sin($way))), 3);
        // As in a raster, not much steeper than before.
        $slope = $seed > 4 ? max(-1.0, min(1.0, ($slope ?? 0.0) + $random(-0.1, 0.1))) : $random(-1, 1);
        $z = mt_rand(0, $seed > 4 ? 20 : 2) === 0 ? $z : round(max(-15, min(-0.5, $z + $slope * $length)), 3);
        $places[] = [$x, $y, $z];
    }
    $lines = array_map(static fn (array $place): string => vsprintf('X%.3f Y%.3f Z%.3f', $place), $places);
    [$stock] = cutting("G0 X{$places[0][0]} Y{$places[0][1]}\nZ2.\nG1 F300.\n".implode("\n", $lines)."\nG0 Z25.", ['tools' => [$tool]], 0.25);
    $field = HeightField::box(Box::of([-50.0, -40.0, -25.0], [50.0, 40.0, 0.0]), 0.25);
    $cutter = Cutter::of(Bench::setup(['tools' => [$tool]])->tooling->tools[1]);
    for ($n = 1; $n < count($places); $n++) {
        (new Sweep($field))->straight($cutter, ...$places[$n - 1], ...$places[$n]);
    }
    $most = 0.0;
    foreach ($stock->field()->heights as $cell => $height) {
        $most = max($most, abs($height - $field->heights[$cell]));
    }
    expect($stock->field()->columns)->toBe($field->columns)->and($most)->toBeLessThan(1e-6);
})->with(['ball-mill', 'bull-mill', 'end-mill', 'chamfer-mill'])->with([1, 2, 3, 4, 5, 6]);
