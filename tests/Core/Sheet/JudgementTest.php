<?php

declare(strict_types=1);

use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Sheet\MoveKind;
use OakTrace\Core\Sheet\Operations\ReliefHoles;
use OakTrace\Core\Sheet\Planner;
use OakTrace\Core\Sheet\ProgramWriter;
use OakTrace\Core\Sheet\Shapes\RoundedRectangle;
use OakTrace\Core\Sheet\ThreadHole;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\Sheet\SheetBench;

/** @return list<string> what an operation decided, in words */
function said(array $operations, int $of, array $changes = []): array
{
    $plan = SheetBench::plan($operations, $changes);
    $wording = new Wording($plan->sheet->units);

    return array_map(static fn ($choice): string => "{$choice->field}: {$wording->sentence($choice->text, $choice->figures)}", $plan->steps[$of]->choices);
}

/** @return array<string, mixed> mills and drills by their diameters, all of which run */
function millsAndDrills(array $diameters): array
{
    $tools = [];
    foreach ($diameters as $n => [$kind, $diameter]) {
        $tools[] = ['number' => $n + 1, 'name' => "{$diameter} {$kind}", 'kind' => $kind, 'diameter' => $diameter, 'centerCutting' => true, 'rpm' => 3000,
            'feed' => 300];
    }

    return ['tools' => $tools];
}

// Worked examples: an octagon of 20.4 across its flats, relieved by holes of 2.
it('relieves the corners a mill cannot reach, or says what would', function (float $mill, ?array $choice, ?string $wrong): void {
    $operations = [
        ['kind' => 'relief-holes', 'tool' => 2, 'of' => 'seat'],
        ['id' => 'seat', 'kind' => 'polygon', 'tool' => 1, 'side' => 'inside', 'sides' => 8, 'acrossFlats' => 20.4, 'depth' => 4, 'step' => 2],
    ];
    $tools = millsAndDrills([['end-mill', $mill], ['drill', 2]]);
    if ($wrong !== null) {
        expect(SheetBench::wrong($operations, $tools))->toBe(['operations.0.of' => $wrong]);

        return;
    }
    expect(said($operations, 0, $tools))->toBe($choice);
    $places = array_filter(SheetBench::plan($operations, $tools)->steps[0]->moves, static fn ($move): bool => $move->kind === MoveKind::Cycle);
    $inset = (float) explode(' ', $choice[0])[1];
    expect($places)->toHaveCount(8);
    foreach ($places as $place) {
        expect(hypot($place->x, $place->y))->toEqualWithDelta(11.0404 - $inset, 6e-4)->and($place->cycle->bottom)->toBe(-4.0);
    }
})->with([
    'a mill of 6' => [6.0, null, 'The fillet ends 1.243 mm from the corner, the hole clears 1.082 mm: take a mill of 5.000 mm, or a hole of Ø 2.300 mm.'],
    'a mill of 5' => [5.0, ['inset: 0.414 mm: clears 1.082 mm of the fillet’s 1.036 mm, 0.617 mm beyond the sides'], null],
    'a mill of 3' => [3.0, ['inset: 1.000 mm: clears 0.765 mm of the fillet’s 0.621 mm, 0.076 mm beyond the sides'], null],
]);

it('refuses relief where there is no sharp corner inside', function (array $of, string $what): void {
    $operations = [['kind' => 'relief-holes', 'tool' => 2, 'of' => 'a'], ['id' => 'a', 'tool' => 1, 'depth' => 3, 'step' => 3] + $of];
    expect(SheetBench::wrong($operations, millsAndDrills([['end-mill', 6], ['drill', 2]]))['operations.0.of'] ?? 'nothing')->toBe($what);
})->with([
    'round corners' => [['kind' => 'pocket', 'length' => 40, 'pocketWidth' => 30, 'corner' => 5], 'It has no sharp corner inside.'],
    'an outside' => [['kind' => 'polygon', 'sides' => 6, 'acrossFlats' => 40], 'It has no sharp corner inside.'],
    'no edge' => [['kind' => 'face'], '“a” has no edge, or not all of it is answered.'],
    'half an answer' => [['kind' => 'polygon', 'side' => 'inside', 'sides' => 6], '“a” has no edge, or not all of it is answered.'],
]);

it('knows what a corner of a hole clears', function (): void {
    expect((new ReliefHoles)->needsTool())->toBeTrue();
    $wrong = SheetBench::wrong([
        ['kind' => 'relief-holes', 'tool' => 2, 'of' => 'a', 'inset' => 1.2],
        ['id' => 'a', 'kind' => 'polygon', 'tool' => 1, 'side' => 'inside', 'sides' => 8, 'acrossFlats' => 20.4, 'depth' => 4, 'step' => 2],
    ], millsAndDrills([['end-mill', 5], ['drill', 2]]));
    expect($wrong)->toBe(['operations.0.inset' => 'This has to be between 0 and 1.000 mm.']);
});

// Worked example: over a bore of 38 a tool of 9.5 goes at rapid from X−13 to X13.
it('crosses a bore at rapid, clear of its walls', function (): void {
    $bore = ['kind' => 'outline', 'size' => 38, 'through' => true];
    $slot = ['kind' => 'slot', 'tool' => 3, 'from' => [-50, 0], 'to' => [50, 0], 'width' => 11.2, 'depth' => 5, 'step' => 2.4];
    $inside = static fn (array $operations): array => array_values(array_map(static fn ($move): float => $move->x, array_filter(
        SheetBench::plan($operations)->steps[count($operations) - 1]->moves, static fn ($move): bool => $move->kind === MoveKind::RapidInside,
    )));
    expect($inside([$bore, $slot]))->toBe([13.0, -13.0])->and($inside([$slot]))->toBe([])
        ->and($inside([['depth' => 3, 'through' => false] + $bore, $slot]))->toBe([]) // the slot is deeper than that bore
        ->and($inside([$bore, ['skipAir' => false] + $slot]))->toBe([])
        ->and(said([$bore, $slot], 1))->toContain('skipAir: at rapid where 1 opening(s) are');
    $lines = SheetBench::build([$bore, $slot])->lines;
    $at = array_search('G0 X13.', $lines, true);
    expect($at)->not->toBeFalse()->and($lines[$at - 1])->toBe('X-13.')->and($lines[$at + 1])->toStartWith('G1 X50.');
});

/** @return list<array{float, float}> where the last operation goes at rapid with its tool down, in a run of the sheet nothing stops */
function rapidsDown(array $operations, array $changes = []): array
{
    $plan = SheetBench::plan($operations, $changes);
    expect(SheetBench::stops(SheetBench::run($plan)[0]))->toBe([]);
    $moves = array_filter($plan->steps[count($operations) - 1]->moves, static fn ($move): bool => $move->kind === MoveKind::RapidInside);

    return array_map(static fn ($move): array => [$move->x, $move->y], array_values($moves));
}

// By hand: a slot of 20 across X0 opens it for a tool of 9.5 as far as 10 less 4.75 and 0.5, less what a coarse field is not sure of.
it('goes at rapid where earlier operations have left nothing', function (array $before, int $count): void {
    $along = ['kind' => 'slot', 'tool' => 3, 'from' => [-50, 0], 'to' => [50, 0], 'width' => 9.5, 'depth' => 4, 'step' => 4, 'roughOnly' => true];
    $rapids = rapidsDown([...$before, $along]);
    expect($rapids)->toHaveCount($count);
    foreach ($rapids as [$x, $y]) {
        expect(abs($x))->toBeLessThanOrEqual(4.25)->toBeGreaterThanOrEqual(2.0)->and($y)->toEqual(0);
    }
})->with(function (): array {
    $across = ['kind' => 'slot', 'tool' => 1, 'from' => [0, -40], 'to' => [0, 40], 'width' => 20, 'depth' => 6, 'step' => 6, 'ends' => 'open',
        'compensation' => 'computed'];

    return [
        'nothing was cut' => [[], 0],
        'a slot across' => [[$across], 1],
        'a slot not deeper by the clearance' => [[['depth' => 5.9] + $across], 0],
        'a slot where the tool has no room' => [[['width' => 14] + $across], 0],
    ];
});

it('faces at rapid over what is deeper', function (): void {
    $pocket = ['kind' => 'pocket', 'tool' => 1, 'length' => 100, 'pocketWidth' => 80, 'corner' => 8, 'depth' => 6, 'step' => 6];
    $face = ['kind' => 'face', 'tool' => 5, 'corner' => [-60, -50], 'length' => 120, 'width' => 100, 'depth' => 1, 'step' => 1, 'stepover' => 30];
    $rapids = rapidsDown([$pocket, $face]);
    expect($rapids)->not->toBeEmpty()->and(rapidsDown([$pocket, ['skipAir' => false] + $face]))->toBe([]);
    foreach ($rapids as [$x, $y]) {
        expect(abs($x))->toBeLessThanOrEqual(29.5)->and(abs($y))->toBeLessThanOrEqual(19.5);
    }
});

it('crosses a pocket at rapid where nothing stands near', function (array $pocket, array $rapids): void {
    $moves = SheetBench::plan([
        $pocket + ['kind' => 'pocket', 'tool' => 3, 'length' => 50, 'pocketWidth' => 40, 'depth' => 7, 'step' => 7],
        ['kind' => 'slot', 'tool' => 3, 'from' => [-50, 0], 'to' => [50, 0], 'width' => 11.2, 'depth' => 5, 'step' => 5],
    ])->steps[1]->moves;
    $xs = array_map(static fn ($move): float => $move->x, array_filter($moves, static fn ($move): bool => $move->kind === MoveKind::RapidInside));
    expect(array_values($xs))->toEqual($rapids);
})->with([
    'square on' => [['corner' => 6], [19.0]], // 25 less 4.75 and 0.5, rounded in
    'across its corners' => [['corner' => 6, 'turned' => 45], [20.0]], // (20 less 5.25) · √2
    'beside its middle' => [['corner' => 6, 'centre' => [0, 17]], []], // 3 from a wall, and the tool is wider
    'not as deep' => [['corner' => 6, 'depth' => 4], []],
]);

it('knows where a way is inside of a rectangle', function (): void {
    $shape = RoundedRectangle::of([10.0, 0.0], 60.0, 20.0, 4.0, 90.0);
    expect($shape->spans([10.0, -50.0], [0.0, 1.0], 1.0))->toEqual([[21.0, 79.0], [24.0, 76.0]])
        ->and($shape->spans([18.5, -50.0], [0.0, 1.0], 1.0))->toEqual([[24.0, 76.0]])
        ->and($shape->spans([30.0, -50.0], [0.0, 1.0], 1.0))->toBe([])->and($shape->spans([10.0, 0.0], [1.0, 0.0], 11.0))->toBe([]);
});

it('mills a pocket with sharp corners where holes relieve them', function (): void {
    $pocket = ['id' => 'p', 'kind' => 'pocket', 'tool' => 1, 'length' => 50, 'pocketWidth' => 30, 'corners' => 'relieved', 'depth' => 5, 'step' => 3];
    $operations = [['kind' => 'relief-holes', 'tool' => 2, 'of' => 'p'], $pocket];
    $tools = millsAndDrills([['end-mill', 8], ['drill', 6]]);
    $places = array_values(array_map(static fn ($move): array => [round($move->x, 4), round($move->y, 4)], array_filter(
        SheetBench::plan($operations, $tools)->steps[0]->moves, static fn ($move): bool => $move->kind === MoveKind::Cycle,
    )));
    // Half of a right angle: a hole of 6 reaches 3 · √2 along it at its inset of 3, the fillet of 4 ends 4 off.
    expect($places)->toEqual([[22.8787, 12.8787], [-22.8787, 12.8787], [-22.8787, -12.8787], [22.8787, -12.8787]])
        ->and(said($operations, 1, $tools))->toContain('corners: the mill leaves a fillet of 4.000 mm: drill relief holes')
        ->and(SheetBench::stops(SheetBench::run(SheetBench::plan($operations, $tools))[0]))->toBe([])
        ->and(SheetBench::wrong([['corners' => 'round'] + $pocket], $tools))->toHaveKey('operations.0.corner');
});

it('writes holes out where a control has no cycle, and drills the same', function (string $cycle): void {
    $operations = [['kind' => 'holes', 'tool' => 2, 'depth' => 15, 'peck' => 4, 'cycle' => $cycle,
        'at' => ['kind' => 'line', 'from' => [-20, 0], 'pitch' => 20, 'holes' => 3]]];
    $sheet = SheetBench::files()->read((string) json_encode(SheetBench::sheet($operations)));
    $control = Profiles::named('iso-mill');
    $plain = $control->with(gCodes: array_diff_key($control->gCodes, array_flip([730, 810, 820, 830, 840, 850, 860, 890])));
    $plan = Planner::planned($sheet, $plain);
    $text = ProgramWriter::write($plan)->text();
    expect($text)->not->toMatch('/G(73|8[1-9])/')->and($plan->steps[0]->choices[0]->text)->toBe('written out: this control has no cycle for it');
    [$run, $out] = SheetBench::run($plan);
    [, $cycled] = SheetBench::run(SheetBench::plan($operations));
    expect(SheetBench::stops($run))->toBe([])->and($out->removed())->toEqualWithDelta($cycled->removed(), 1e-6);
})->with(['drill', 'dwell', 'peck', 'chip-break', 'ream', 'bore-dwell']);

it('cannot write out what turns the spindle', function (): void {
    $sheet = SheetBench::files()->read((string) json_encode(SheetBench::sheet([
        ['kind' => 'holes', 'tool' => 4, 'depth' => 8, 'cycle' => 'tap', 'at' => ['kind' => 'single', 'place' => [0, 0]]],
    ])));
    $control = Profiles::named('iso-mill');
    $problems = Planner::of($sheet, $control->with(gCodes: array_diff_key($control->gCodes, [840 => 0])))->problems();
    expect($problems)->toBe(['operations.0.cycle' => 'This control has no cycle for it, and it cannot be written out.']);
});

it('does not cross at rapid off the axes on a control whose rapids are not straight', function (): void {
    $operations = [
        ['kind' => 'outline', 'size' => 38, 'through' => true],
        ['kind' => 'slot', 'tool' => 3, 'from' => [-40, -20], 'to' => [40, 20], 'width' => 11.2, 'depth' => 5, 'step' => 2.4],
    ];
    $rapids = static fn (string $profile): int => count(array_filter(
        SheetBench::plan($operations, ['profile' => $profile])->steps[1]->moves, static fn ($move): bool => $move->kind === MoveKind::RapidInside,
    ));
    expect($rapids('iso-mill'))->toBe(2)->and($rapids('integer-mill'))->toBe(0);
});

it('drills in one feed what hardens, however deep', function (): void {
    $hole = ['kind' => 'holes', 'tool' => 2, 'depth' => 40, 'at' => ['kind' => 'single', 'place' => [0, 0]]];
    expect(said([$hole], 0, ['material' => 'stainless steel']))->toBe(['cycle: drill, in one feed: stainless hardens where a drill is lifted'])
        ->and(SheetBench::build([$hole], ['material' => 'Stainless 304'])->text())->toContain('G81')
        ->and(SheetBench::build([['cycle' => 'peck'] + $hole], ['material' => 'stainless'])->text())->toContain('G83');
});

// Worked examples: 158.5 by a cutter of 139.9 runs on 9.3; 0.13 smaller the first time on 9.235.
it('mills a row of counterbores where they were found, smaller the first time', function (): void {
    $row = [
        'kind' => 'round-pocket', 'tool' => 1, 'size' => 158.5, 'depth' => 9.5, 'step' => 10, 'undersize' => 0.13, 'leave' => ['wall' => 0, 'floor' => 0],
        'finish' => ['passes' => 0], 'positions' => ['drawing' => [[0, 0], [200, 0]], 'indicated' => [[0.02, 0.01], [200.1, 0]], 'probed' => [[0.03, 0]]],
    ];
    $changes = millsAndDrills([['end-mill', 139.9]]) + ['stock' => ['shape' => 'box', 'min' => [-150, -150, -40], 'max' => [350, 150, 0]]];
    $decided = said([$row], 0, $changes);
    expect($decided)->toContain('positions: made where they were indicated', 'size: 158.370 mm the first time: the tool’s centre runs on 9.235 mm');
    $arcs = array_filter(SheetBench::plan([$row], $changes)->steps[0]->moves, static fn ($move): bool => $move->kind === MoveKind::CounterClockwise
        && $move->z === null);
    expect(array_values(array_unique(array_map(static fn ($arc): float => round(hypot($arc->i, $arc->j), 4), $arcs))))->toContain(9.235);
    $again = said([['undersize' => 0] + $row], 0, millsAndDrills([['end-mill', 139.87]]) + $changes);
    expect($again)->not->toContain('size: 158.370 mm the first time: the tool’s centre runs on 9.235 mm');
});

it('says what is wrong with a row', function (array $change, string $field, string $what): void {
    $row = ['kind' => 'round-pocket', 'tool' => 1, 'size' => 20, 'depth' => 3, 'step' => 3, 'positions' => ['drawing' => [[-30, 0], [30, 0]]]];
    expect(SheetBench::wrong([$change + $row])["operations.0.{$field}"] ?? 'nothing')->toBe($what);
})->with([
    'a probe far off' => [['positions' => ['drawing' => [[0, 0]], 'probed' => [[0.2, 0.2]]]], 'positions.probed.0', 'This is 0.283 mm from the drawing.'],
    'a place too many' => [['positions' => ['drawing' => [[0, 0]], 'probed' => [[0, 0], [9, 9]]]], 'positions.probed.1', 'The drawing has no such place.'],
    'not all probed' => [
        ['positions' => ['drawing' => [[0, 0], [5, 5]], 'probed' => [[0, 0]], 'use' => 'probed']], 'positions.use', 'Not every place of the drawing has one.',
    ],
    'a centre beside it' => [['centre' => [1, 1]], 'centre', 'Give a centre, or a row of them, not both.'],
    'a lip' => [['lip' => 11], 'lip', 'T1 does not go through the lip.'],
    'larger the first time' => [['undersize' => -1], 'undersize', 'This has to be 0 or more.'],
]);

it('stops for the rule before it finishes, up and clear, and goes on from where it was', function (): void {
    $lines = SheetBench::build([[
        'kind' => 'frame', 'tool' => 1, 'length' => 100, 'width' => 80, 'corner' => 5, 'depth' => 5, 'step' => 5, 'measure' => 'before the last finish',
        'leave' => ['wall' => 0.4], 'finish' => ['passes' => 2],
    ]])->lines;
    $at = array_search('M0', $lines, true);
    expect($lines[$at - 1])->toBe('(MEASURE: 0.200 MM IS LEFT ON A WALL. CORRECT D1)')->and($lines[$at - 2])->toBe('G0 Z25.')
        ->and($lines[$at + 1])->toBe('S2600 M3')->and($lines[$at + 2])->toStartWith('Z2.')
        ->and(implode(' ', array_slice($lines, $at + 3, 3)))->toContain('G1 Z-5. F140.');
});

// Worked example: 420 on a travel of 410 holds 53 of 54 rows, 7.698 apart.
it('tells how many rows of a spotted finish the travel holds', function (float $zero, ?string $what): void {
    $sheet = array_diff_key(SheetBench::sheet([['kind' => 'dab-grid', 'tool' => 6, 'width' => 40, 'height' => 420, 'inset' => 6]]),
        ['stock' => 0, 'tools' => 0]);
    $setup = Bench::setup([
        'machine' => ['axes' => ['X' => ['min' => -760, 'max' => 0], 'Y' => ['min' => -410, 'max' => 0], 'Z' => ['min' => -460, 'max' => 0]]],
        'workOffsets' => ['G54' => ['X' => -400, 'Y' => $zero, 'Z' => 0]],
        'tools' => [['number' => 6, 'name' => '12 spotting stick', 'kind' => 'engraver', 'diameter' => 12]],
    ]);
    $read = SheetBench::files()->read(
        (string) json_encode($sheet + ['tools' => [['number' => 6, 'rpm' => 700, 'feed' => 400, 'springStroke' => 2]]]), $setup,
    );
    expect($read->travel->x)->toBe([-360.0, 400.0])
        ->and(Planner::of($read, $setup->machine->control)->problems()['operations.0.height'] ?? null)->toBe($what);
})->with([
    'at the end of the travel' => [
        -410.0,
        'Y holds 53 of 54 rows: the last one is 4.000 mm short. Make 53 rows here, and clamp again 53 rows on, 408.000 mm, for the rest.',
    ],
    'a little before it' => [-414.0, null],
]);

// ISO 2306:1972, drills for use prior to tapping screw threads, coarse series; values from memory.
it('taps in the holes the tables say', function (float $diameter, float $pitch, float $drill): void {
    expect(ThreadHole::usual($diameter, $pitch))->toEqualWithDelta($drill, 0.051)
        ->and(ThreadHole::share($diameter, $pitch, $drill))->toBeBetween(ThreadHole::LEAST + 0.15, ThreadHole::MOST - 0.04);
    $operations = static fn (float $hole): array => [
        ['kind' => 'holes', 'tool' => 2, 'depth' => 18, 'cycle' => 'drill', 'at' => ['kind' => 'single', 'place' => [0, 0]]],
        ['kind' => 'holes', 'tool' => 1, 'depth' => 10, 'cycle' => 'tap', 'at' => ['kind' => 'single', 'place' => [0, 0]]],
    ];
    $tools = static fn (float $hole): array => ['tools' => [
        ['number' => 1, 'name' => 'tap', 'kind' => 'tap', 'diameter' => $diameter, 'pitch' => $pitch, 'rpm' => 300],
        ['number' => 2, 'name' => 'drill', 'kind' => 'drill', 'diameter' => $hole, 'rpm' => 2000, 'feed' => 200],
    ]];
    expect(SheetBench::wrong($operations($drill), $tools($drill)))->toBe([])
        ->and(SheetBench::wrong($operations($drill), $tools($diameter - 1.2 * $pitch))['operations.1.at'] ?? '')->toContain('% of its thread. Drill Ø')
        ->and(said([$operations($drill)[1]], 0, $tools($drill))[0])->toStartWith('at: no hole is known at 1: ');
})->with([
    'M3' => [3, 0.5, 2.5], 'M4' => [4, 0.7, 3.3], 'M5' => [5, 0.8, 4.2], 'M6' => [6, 1, 5], 'M8' => [8, 1.25, 6.8], 'M10' => [10, 1.5, 8.5],
    'M12' => [12, 1.75, 10.2], 'M16' => [16, 2, 14], 'M20' => [20, 2.5, 17.5],
]);

it('takes a place by angle and distance, and from the one before', function (array $at, array $places): void {
    $moves = SheetBench::plan([['kind' => 'holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'list', 'places' => $at]]])->steps[0]->moves;
    $made = array_map(static fn ($move): array => [round($move->x, 3), round($move->y, 3)], array_values(array_filter(
        $moves, static fn ($move): bool => $move->kind === MoveKind::Cycle,
    )));
    expect($made)->toEqual($places);
})->with([
    'further each time' => [[[10, 5], ['dx' => 12, 'dy' => 0], ['dx' => 0, 'dy' => -20]], [[10, 5], [22, 5], [22, -15]]],
    'by angle' => [[['radius' => 20, 'angle' => 30], ['radius' => 20, 'angle' => 120, 'about' => [10, 0]]], [[17.321, 10], [0, 17.321]]],
]);

it('takes the end of a slot from its start', function (array $to): void {
    $moves = SheetBench::plan([['kind' => 'slot', 'tool' => 3, 'from' => [10, -10], 'to' => $to, 'width' => 11, 'depth' => 2, 'step' => 2,
        'roughOnly' => true]])->steps[0]->moves;
    $last = array_values(array_filter($moves, static fn ($move): bool => $move->x !== null));
    expect([round(end($last)->x, 3), round(end($last)->y, 3)])->toEqual([30, 4.641]);
})->with([[['dx' => 20, 'dy' => 14.641]], [['radius' => 24.7861, 'angle' => 36.2071]]]);

it('writes the answers as comments where that is wanted', function (): void {
    $lines = SheetBench::build([['kind' => 'round-pocket', 'tool' => 1, 'centre' => [5, 0], 'size' => ['radius' => 20.3], 'depth' => '#d', 'step' => 3]],
        ['figures' => true, 'names' => ['d' => 6]])->lines;
    expect($lines)->toContain('(SIZE R20.3, DEPTH BELOW THE TOP 6.)');
});

// By hand: a point of 90° 2 below the edge reaches 2 at it, and as far as its 4 where the wall stands 4 above it.
it('keeps the cone of a chamfer from the next wall', function (array $operations, array $wrong, array $changes = []): void {
    $chamfer = ['kind' => 'chamfer-edge', 'tool' => 7, 'of' => 'edge', 'width' => 0.5, 'tipBelow' => 1.5];
    expect(SheetBench::wrong([...$operations, $chamfer], $changes))->toBe($wrong);
})->with(function (): array {
    $seat = static fn (float $size): array => ['kind' => 'round-pocket', 'tool' => 1, 'size' => $size, 'depth' => 4, 'step' => 4];
    $bore = ['id' => 'edge', 'kind' => 'round-pocket', 'tool' => 1, 'size' => 22, 'top' => -4, 'depth' => 8, 'step' => 4];
    $pocket = static fn (float $more): array => [
        'kind' => 'pocket', 'tool' => 1, 'length' => 30 + $more, 'pocketWidth' => 20 + $more, 'corner' => 7, 'depth' => 4, 'step' => 4,
    ];
    $boss = ['id' => 'edge', 'kind' => 'frame', 'tool' => 1, 'side' => 'outside', 'length' => 30, 'width' => 20, 'corner' => 7, 'depth' => 4, 'step' => 4];
    $small = static fn (float $size): array => ['id' => 'edge', 'kind' => 'round-pocket', 'tool' => 1, 'size' => $size, 'depth' => 4, 'step' => 1];
    $narrow = millsAndDrills([['end-mill', 3]]);
    $narrow['tools'][] = ['number' => 7, 'name' => '8 spot drill', 'kind' => 'spot-drill', 'diameter' => 8, 'pointAngle' => 90, 'rpm' => 2500, 'feed' => 200];
    $into = ['operations.2.tipBelow' => 'The cone cuts 0.500 mm into the next wall: less below the chamfer, or a narrower tool.'];

    return [
        'a bore at the bottom of a seat of 27' => [[$seat(27.0), $bore], []],
        'of 26' => [[$seat(26.0), $bore], $into],
        'of 26, made wider' => [[$seat(26.0), $seat(40.0), $bore], []],
        'a boss with 4 round it' => [[$pocket(8.0), $boss], []],
        'with 3' => [[$pocket(6.0), $boss], $into],
        'a hole of 3.6' => [[$small(3.6)], [], $narrow],
        'of 3.4' => [[$small(3.4)], ['operations.1.of' => 'T7 does not fit in there.'], $narrow],
    ];
});
