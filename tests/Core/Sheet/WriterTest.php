<?php

declare(strict_types=1);

use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Sheet\MoveKind;
use OakTrace\Core\Sheet\Operations\RoundPocket;
use OakTrace\Core\Sheet\Planner;
use OakTrace\Core\Sheet\ProgramWriter;
use Tests\Core\Sheet\SheetBench;

/** @return list<string> */
function written(array $operations, array $changes = []): array
{
    return SheetBench::build($operations, $changes)->lines;
}

$hole = ['kind' => 'holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'single', 'place' => [10, 20]]];

it('begins at a known state, and names tools, raw part and notes', function () use ($hole): void {
    $lines = written([$hole], ['name' => 'Größe (neu) Ø 5°', 'notes' => ['Hold 6 mm']]);
    expect(array_slice($lines, 0, 2))->toBe(['O0012 (GR SSE [NEU] D 5 DEG)', '(RAW PART X-60. TO 60., Y-50. TO 50., Z-20. TO 0.)'])
        ->and($lines)->toContain('(T2 6.8 DRILL)', '(HOLD 6 MM)', 'G21 G17 G90 G94 G40 G49 G80');
});

it('has no number where the sheet has none', function () use ($hole): void {
    $sheet = array_diff_key(SheetBench::sheet([$hole]), ['programNumber' => 0]);
    $plan = Planner::planned(SheetBench::files()->read((string) json_encode($sheet)), Profiles::named('iso-mill'));
    expect(ProgramWriter::write($plan)->lines[0])->toBe('(TRIAL PLATE)');
});

it('goes across before it goes down, and up before it goes across', function (array $operation): void {
    $z = null;
    $crossing = 25.0;
    foreach (SheetBench::plan([$operation])->steps[0]->moves as $move) {
        if ($move->kind === MoveKind::Rapid && $z !== null && ($move->x !== null || $move->y !== null)) {
            expect($z)->toBeGreaterThanOrEqual(2.0);
        }
        $z = $move->z ?? $z ?? ($move->kind === MoveKind::Retract ? $crossing : null);
    }
    expect($z)->toBe(2.0);
})->with([
    [['kind' => 'face', 'tool' => 5, 'depth' => 3, 'step' => 1, 'way' => 'one-way']],
    [['kind' => 'round-pocket', 'tool' => 1, 'size' => 30, 'depth' => 9, 'step' => 3]],
    [['kind' => 'frame', 'tool' => 1, 'length' => 100, 'width' => 70, 'depth' => 9, 'step' => 3]],
    [['kind' => 'slot', 'tool' => 3, 'from' => [0, 0], 'to' => [40, 0], 'width' => 11, 'depth' => 5, 'step' => 2]],
]);

it('writes no word twice that is in force', function (): void {
    $said = [];
    foreach (written([
        ['kind' => 'frame', 'tool' => 1, 'length' => 100, 'width' => 70, 'corner' => 4, 'depth' => 9, 'step' => 3],
        ['kind' => 'face', 'tool' => 5, 'depth' => 3, 'step' => 1],
    ]) as $line) {
        if (preg_match('/M6|G53|G5[4-9]|^\(|^N|G99|G98/', $line) === 1) {
            $said = [];

            continue;
        }
        preg_match_all('/([XYZF])(-?[\d.]+)/', $line, $words, PREG_SET_ORDER);
        foreach ($words as [, $letter, $figure]) {
            expect($said[$letter] ?? null)->not->toBe($figure, "{$letter}{$figure} in {$line}");
            $said[$letter] = $figure;
        }
        if (preg_match('/^G[0123] /', $line) === 1) {
            expect($said['G'] ?? null)->not->toBe(substr($line, 0, 2), $line);
        }
        $said['G'] = preg_match('/^(?:G4[012](?: D\d+)? )?(G[0123])\b/', $line, $code) === 1 ? $code[1] : ($said['G'] ?? null);
    }
});

it('writes figures with a point, no noughts behind, and no minus nought', function (): void {
    $text = implode("\n", written([['kind' => 'polygon', 'tool' => 1, 'sides' => 6, 'acrossFlats' => 70, 'depth' => 3.5, 'step' => 4]]));
    preg_match_all('/[XYZIJF]-?[\d.]+/', (string) preg_replace('/\([^)]*\)/', '', $text), $words);
    expect(count($words[0]))->toBeGreaterThan(30);
    foreach ($words[0] as $word) {
        expect($word)->toMatch('/^[XYZIJF]-?(0|[1-9]\d*)?\.\d*$/')->not->toMatch('/\.\d*0$|-0\.$/');
    }
});

it('starts the spindle before the tool goes down, and switches coolant with the tool', function (): void {
    $tools = SheetBench::sheet([])['tools'];
    $tools[1]['coolant'] = 'flood';
    $tools[6]['coolant'] = 'mist';
    $lines = written([
        ['kind' => 'holes', 'tool' => 7, 'cycle' => 'spot', 'diameter' => 3, 'depth' => 1.5, 'at' => ['kind' => 'single', 'place' => [0, 0]]],
        ['kind' => 'holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'single', 'place' => [0, 0]]],
        ['kind' => 'round-pocket', 'tool' => 1, 'size' => 30, 'depth' => 3, 'step' => 3],
    ], ['tools' => $tools]);
    expect($lines)->toContain('G43 H7 Z25. M7', 'G43 H2 Z25. M8', 'G43 H1 Z25.');
    foreach (array_keys($lines, 'M9', true) as $n) {
        expect($lines[$n + 1])->toBe('G53 G0 Z0.');
    }
    expect(count(array_keys($lines, 'M9', true)))->toBe(3)->and(array_slice($lines, -3))->toBe(['G53 G0 Z0.', 'M5', 'M30']);
});

it('stops before a tool as the sheet says', function (string $stop, ?string $code): void {
    $tools = SheetBench::sheet([])['tools'];
    $tools[0]['stop'] = $stop;
    $lines = written([
        ['kind' => 'holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'single', 'place' => [0, 0]]],
        ['kind' => 'round-pocket', 'tool' => 1, 'size' => 30, 'depth' => 3, 'step' => 3],
    ], ['tools' => $tools]);
    $change = array_search('T1 M6', $lines, true);
    expect($lines[$change - 2])->toBe($code ?? 'G53 G0 Z0.');
})->with([['optional', 'M1'], ['program', 'M0'], ['none', null]]);

it('taps at the pitch', function (): void {
    expect(written([['kind' => 'holes', 'tool' => 4, 'cycle' => 'tap', 'depth' => 10, 'at' => ['kind' => 'single', 'place' => [0, 0]]]]))
        ->toContain('G99 G84 X0. Y0. Z-10. R2. F500.'); // 1.25 mm at 400 rev/min
});

it('drills through with its point', function (): void {
    // Worked example: through 34 with 8.5 at 118° the point is 2.554, so Z−37.054 with 0.5 past the underside.
    $lines = written([['kind' => 'holes', 'tool' => 2, 'cycle' => 'drill', 'through' => true, 'at' => ['kind' => 'single', 'place' => [0, 0]]]], [
        'stock' => ['shape' => 'box', 'min' => [-50, -50, -34], 'max' => [50, 50, 0]],
        'tools' => [['number' => 2, 'name' => '8.5 drill', 'kind' => 'drill', 'diameter' => 8.5, 'pointAngle' => 118, 'rpm' => 2000, 'feed' => 200]],
    ]);
    expect($lines)->toContain('G99 G81 X0. Y0. Z-37.054 R2. F200.');
});

it('faces in rows as wide as asked, evened', function (): void {
    $plan = SheetBench::plan([['kind' => 'face', 'tool' => 5, 'depth' => 1, 'step' => 1]]);
    // 100 wide with a cutter of 40 and rows of 28 at most: three of 30 would be too wide, four are 20 apart.
    $rows = array_values(array_unique(array_filter(array_map(static fn ($move): ?float => $move->y, $plan->steps[0]->moves), is_float(...))));
    expect($rows)->toEqualWithDelta([-30.0, -10.0, 10.0, 30.0], 1e-9);
    $x = array_filter(array_map(static fn ($move): ?float => $move->x, $plan->steps[0]->moves), is_float(...));
    expect([min($x), max($x)])->toBe([-82.0, 82.0]); // half the cutter and 2 mm past the part
});

it('presses as many spots as were spaced', function (): void {
    $moves = SheetBench::plan([['kind' => 'dab-grid', 'tool' => 6, 'width' => 280, 'height' => 150, 'inset' => 6]], [
        'stock' => ['shape' => 'box', 'min' => [0, 0, -5], 'max' => [280, 150, 0]],
    ])->steps[0]->moves;
    $spots = array_filter($moves, static fn ($move): bool => $move->kind === MoveKind::Dwell);
    expect($spots)->toHaveCount(684); // worked example: 36 × 19
});

it('dresses the stick as often as asked', function (): void {
    $moves = SheetBench::plan([['kind' => 'dab-grid', 'tool' => 6, 'width' => 40, 'height' => 40, 'dressEvery' => 10]])->steps[0]->moves;
    $count = static fn (MoveKind $kind): int => count(array_filter($moves, static fn ($move): bool => $move->kind === $kind));
    expect($count(MoveKind::Stop))->toBe(intdiv($count(MoveKind::Dwell), 10))->and($count(MoveKind::Dwell))->toBeGreaterThan(20);
});

it('never widens a ring beyond what is asked, from any hole', function (): void {
    mt_srand(3);
    for ($n = 0; $n < 300; $n++) {
        [$radius, $tool] = [mt_rand(100, 500) / 10, mt_rand(20, 80) / 10];
        [$start, $width] = [mt_rand(0, 200) / 10, $tool * mt_rand(50, 120) / 100];
        $before = max(0.0, $start - $tool);
        foreach (RoundPocket::rings($radius, $tool, 0.2, $start, $width) as $ring) {
            expect($ring - $before)->toBeLessThanOrEqual($width + 1e-9)->toBeGreaterThan(0.0);
            $before = $ring;
        }
        expect($before)->toEqualWithDelta(max($radius - 0.2 - $tool, max(0.0, $start - $tool)), 1e-9);
    }
});

it('takes the raw part as a setup does: a bar stands in a box', function (): void {
    $plan = SheetBench::plan(
        [['kind' => 'face', 'tool' => 5, 'depth' => 1, 'step' => 1]], ['stock' => ['shape' => 'cylinder', 'diameter' => 60, 'length' => 30]],
    );
    expect($plan->sheet->blank->box)->toEqual(Box::of([-30.0, -30.0, -30.0], [30.0, 30.0, 0.0]))
        ->and(SheetBench::stops(SheetBench::run($plan)[0]))->toBe([])
        ->and(SheetBench::wrong([['kind' => 'face', 'tool' => 5, 'depth' => 1]], ['stock' => ['shape' => 'box', 'min' => [0, 0, 0], 'max' => [1, 0, 1]]]))
        ->toHaveKey('stock.max.1');
});

it('cuts stainless steel less deep than steel', function (): void {
    $depths = static fn (string $material): array => array_values(array_unique(array_filter(array_map(
        static fn ($move): ?float => $move->kind === MoveKind::Feed ? $move->z : null,
        SheetBench::plan([
            ['kind' => 'slot', 'tool' => 3, 'from' => [0, 0], 'to' => [40, 0], 'width' => 9.5, 'roughOnly' => true, 'depth' => 9, 'entry' => 'plunge'],
        ], ['material' => $material])->steps[0]->moves,
    ), static fn (?float $z): bool => $z !== null && $z < 0.0)));
    expect([count($depths('C45 steel')), count($depths('stainless steel')), count($depths('brass'))])->toBe([2, 4, 2]);
});

it('works with zero at the underside', function (): void {
    $lines = written([['kind' => 'holes', 'tool' => 2, 'cycle' => 'drill', 'depth' => 5, 'at' => ['kind' => 'single', 'place' => [0, 0]]]], [
        'zero' => 'bottom', 'stock' => ['shape' => 'box', 'min' => [-50, -50, 0], 'max' => [50, 50, 20]],
    ]);
    expect($lines)->toContain('G99 G81 X0. Y0. Z15. R22. F220.');
});
