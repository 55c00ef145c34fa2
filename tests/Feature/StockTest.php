<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Cache;
use OakTrace\Core\Formats\PackedColumns;
use Tests\Core\Demo;

beforeEach(function (): void {
    $this->actingAs(person());
    $this->program = program('1935');
    $this->stands = fn (array $what): array => PackedColumns::read($this->postJson("/programs/{$this->program->id}/stock", $what)->assertOk()->getContent());
});

it('gives the stock at moments along the run, and after one row', function (): void {
    [$head, $columns] = ($this->stands)(['revision' => 1]);
    [$field] = $head['fields'];
    $cells = $field['columnCount'] * $field['rows'];
    $sums = array_map(array_sum(...), array_chunk($columns->numbers('heights'), $cells));
    $falling = $sums;
    rsort($falling);
    expect($head['after'][0])->toBe(-1)->and(count($sums))->toBe(count($head['after']))->and($sums)->toBe($falling)->and($sums[0])->toBe(2.0 * $cells)
        ->and(
            [$field['x'], $field['dx'] * $field['columnCount'], $field['bottom'], $field['top']],
        )->toEqual([-60, 120, -30, 2])->and($head['stands'])->toBe(array_fill(0, count($sums), [0]));
    [$one, $heights] = ($this->stands)(['text' => Demo::text('1935'), 'row' => $head['after'][8]]);
    expect($one['after'])->toBe([$head['after'][8]])->and(array_sum($heights->numbers('heights')))->toBe($sums[8]);
});

it('gives the stock of a lathe at moments along the run, and after one row', function (): void {
    $program = program('2130');
    $told = $this->postJson("/programs/{$program->id}/stock", ['revision' => 1])->assertOk()->json();
    $volume = fn (array $stretches): float => array_sum(array_map(
        fn (array $stretch): float => ($stretch[1] - $stretch[0]) * array_sum(array_map(
            fn (int $n): float => ($n % 2 === 1 ? 1 : -1) * $stretch[2][$n] ** 2, array_keys($stretch[2]),
        )), $stretches,
    ));
    $left = array_map($volume, $told['stands']);
    expect($told['after'][0])->toBe(-1)->and(count($told['stands']))->toBe(count($told['after']))->and(count($left))->toBeGreaterThan(10)
        ->and($told['stands'][0])->toEqual([[-60.0, 0.5, [0.0, 6.0]]])->and(end($left))->toBeLessThan($left[0] - 200);
    foreach (array_slice($left, 1) as $n => $one) {
        expect($one)->toBeLessThanOrEqual($left[$n] + 1e-6);
    }
    $middle = $this->postJson("/programs/{$program->id}/stock", ['revision' => 1, 'row' => $told['after'][8]])->assertOk()->json();
    expect($middle)->toEqual(['after' => [$told['after'][8]], 'stands' => [$told['stands'][8]]]);
});

it('tells a thread of a lathe by its root, as far as it lies in the part', function (): void {
    [$head] = checked(program('2130'), Demo::text('2130'));
    // Both starts end at X8.773, Z-20, and begin in the chamfer at the face.
    expect($head['scene']['turned']['threads'])->toHaveCount(1)->and($head['scene']['turned']['isFront'])->toBeFalse();
    // A square shank of 20 behind the insert of T1, which stands 28 out of the turret.
    expect($head['scene']['turned']['holders']['1'][0])->toHaveCount(4)
        ->and(max(array_column($head['scene']['turned']['holders']['1'][0], 1)))->toEqual(28);
    [$fromZ, $from, $toZ, $to, $line] = $head['scene']['turned']['threads'][0];
    // It leads out at 45° from there to Z-20, up to where the cycle began at Ø12.
    expect([$from, $to, $toZ])->toEqualWithDelta([4.3865, 4.3865, -20.0 + 6 - 4.3865], 1e-3)->and($fromZ)->toBeBetween(-2.0, 0.0)
        ->and($line)->toBeGreaterThanOrEqual(28);
});

it('gives lengths in the units a person has set', function (): void {
    person()->update(['settings' => ['units' => 'inch']]);
    $this->actingAs(person());
    [$head, $columns] = ($this->stands)(['revision' => 1, 'row' => 0]);
    expect($head['fields'][0]['x'] * 25.4)->toEqualWithDelta(-60, 1e-9)->and($columns->numbers('heights')[0] * 25.4)->toEqualWithDelta(2.0, 1e-5);
});

it('gives what is left as a solid', function (): void {
    $stl = $this->postJson("/programs/{$this->program->id}/solid", ['revision' => 1])->assertOk()->assertHeader('Content-Type', 'model/stl')->getContent();
    expect(substr($stl, 0, 9))->toBe('O1935, mm')->and(strlen($stl))->toBe(84 + 50 * unpack('V', $stl, 80)[1]);
});

it('tells what each row cuts with the check', function (): void {
    [$head, $columns] = checked($this->program, Demo::text('1935'));
    $deep = max($columns->numbers('cutDepth'));
    expect($deep)->toEqualWithDelta(4.0, 1e-6)->and(count($columns->numbers('cutAir')))->toBe(count($columns->numbers('kind')))
        ->and($head['result']['summary']['stock']['complete'])->toBeTrue();
});

it('measures nothing where there are too many moves to measure by', function (): void {
    // To and fro just below the top, in steps so small that every move is short.
    $moves = implode("\n", array_map(fn (int $n): string => sprintf('X%.3f', -20 + ($n % 2) * 0.01), range(1, 60_010)));
    $text = "G21 G17 G40 G49 G80 G90 G94\nT2 M6\nS4800 M3\nG54 G0 X-20. Y0.\nG43 H2 Z40.\nZ3.\nG1 Z1. F200.\n{$moves}\nG0 Z40.\nM30\n";
    $this->postJson("/programs/{$this->program->id}/measure", ['text' => $text, 'at' => [[0, 0]]])
        ->assertStatus(422)
        ->assertJsonPath('message', 'This program takes too long to simulate while you wait.');
    // What is left and what is gouged is told all the same.
    [$head] = PackedColumns::read($this->postJson("/programs/{$this->program->id}/as-wanted", ['text' => $text])->assertOk()->getContent());
    expect($head['sizes'])->toBe([])->and($head['left'])->not->toBeNull();
});

it('says why there is nothing to show', function (): void {
    config(['oak.stock_picture_visits' => 10]);
    $this->postJson("/programs/{$this->program->id}/stock", ['revision' => 1])->assertStatus(422)->assertJsonPath(
        'message', 'This program takes too long to simulate while you wait.',
    );
    $this->postJson("/programs/{$this->program->id}/solid", ['revision' => 1])->assertStatus(422)->assertJsonPath(
        'message', 'This program takes too long to simulate while you wait.',
    );
    $this->program->setup->update(['document' => (object) (['stock' => null] + documentOf($this->program->setup))]);
    $this->postJson("/programs/{$this->program->id}/stock", ['revision' => 1])->assertStatus(422);
    $this->postJson("/programs/{$this->program->id}/solid", ['revision' => 1])->assertStatus(422);
    $this->postJson("/programs/{$this->program->id}/stock", ['revision' => 1, 'row' => -1])->assertStatus(422);
});

it('gives every side of a part that is turned, and tells which faces the tool', function (): void {
    $this->program = program('1820');
    [$head, $columns] = (
        fn (): array => PackedColumns::read($this->postJson("/programs/{$this->program->id}/stock", ['revision' => 1])->assertOk()->getContent())
    )->call($this);
    $cells = array_sum(
        array_map(
            fn (array $stand): int => array_sum(array_map(fn (int $n): int => $head['fields'][$n]['columnCount'] * $head['fields'][$n]['rows'], $stand)),
            $head['stands'],
        ),
    );
    expect(count($head['fields']))->toBeGreaterThan(3)
        ->and(count($columns->numbers('heights')))->toBe($cells)
        ->and(array_unique(array_merge(...$head['stands'])))->toContain(0, 1, 2, 3);
    // Each side that is cut is named by its turn, and had as it was left: its last stand is the one before the part turns on.
    $angles = array_map(
        static fn (array $field): float => (float) ($field['turn']['angle'] ?? 0),
        array_filter($head['fields'], static fn (array $field): bool => $field['isCut']),
    );
    sort($angles);
    expect($angles)->toEqual([0, 90, 180, 270]);
    [, $checked] = checked($this->program, Demo::text('1820'));
    $at = $checked->numbers('machineA');
    foreach ($head['after'] as $n => $row) {
        $angle = $head['fields'][$head['stands'][$n][0]]['turn']['angle'] ?? 0;
        expect($row < 0 ? 0.0 : fmod($at[$row] + 360.0, 360.0))->toEqualWithDelta((float) $angle, 1e-6);
    }
    $turns = array_keys(array_filter($at, static fn (float|int $angle, int $row): bool => $row > 0 && $angle !== $at[$row - 1], ARRAY_FILTER_USE_BOTH));
    expect($head['after'])->toContain(...array_map(static fn (int $row): int => $row - 1, $turns));
});

it('goes on from a kept moment where a long run is looked at after one row', function (): void {
    config(['oak.stock_kept_from' => 100_000]);
    [$head, $columns] = ($this->stands)(['revision' => 1]);
    $row = $head['after'][12] - 1;
    [, $kept] = ($this->stands)(['revision' => 1, 'row' => $row]);
    Cache::store('file')->clear();
    [, $anew] = ($this->stands)(['revision' => 1, 'row' => $row]);
    expect($kept->numbers('heights'))->toBe($anew->numbers('heights'));
});

it('cuts a section, and says how long it is and what is wanted', function (): void {
    $section = $this->postJson("/programs/{$this->program->id}/section", ['revision' => 1, 'from' => [-31, -35], 'to' => [-31, 35]])->assertOk()->json();
    // Across the pocket: 30 wide to Z-6, in a face the forgotten step has left at Z-3.
    $walls = array_values(
        array_filter($section['cut'], fn (array $corner, int $n): bool => $n > 0 && abs($corner[1] - $section['cut'][$n - 1][1]) > 1, ARRAY_FILTER_USE_BOTH),
    );
    expect($section['length'])->toEqual(70)
        ->and([$section['top'], $section['bottom']])->toEqual([2, -30])
        ->and($walls[1][0] - $walls[0][0])->toEqualWithDelta(30, 0.05)
        ->and($walls[0][1])->toEqualWithDelta(-6, 1e-6)
        ->and($section['before'])->toEqual([[0, 2], [70, 2]])->and(min(array_column($section['wanted'], 1)))->toEqual(-6);
    $this->postJson("/programs/{$this->program->id}/section", ['revision' => 1, 'from' => [0, 0], 'to' => [0, 0]])->assertStatus(422);
    $this->postJson("/programs/{$this->program->id}/section", ['revision' => 1, 'from' => ['x', 0], 'to' => [1, 0]])->assertStatus(422);
});

it('measures at one place and between two, beside what the drawing says', function (): void {
    $measured = $this->postJson("/programs/{$this->program->id}/measure", ['revision' => 1, 'at' => [[-31, 0], [30, 20]]])->assertOk()->json();
    [$pocket, $slot] = $measured['features'];
    expect([$pocket['shape'], $pocket['name'], $pocket['rows'][0]])->toBe(['Rectangular pocket', 'Pocket', ['length', '44.000 mm', '44.000 mm ±0.100']])
        ->and([$slot['shape'], $slot['name'], $slot['rows'][1]])->toBe(['Slot with round ends', 'Cord slot', ['width', '6.000 mm', '6.000 mm +0.100 / 0']])
        ->and($measured['between'][0])->toBe(['centre to centre', '63.246 mm'])->and(array_column($measured['between'], 0))->toContain('wall to wall');
    expect($this->postJson("/programs/{$this->program->id}/measure", ['revision' => 1, 'at' => [[900, 0]]])->assertOk()->json('features'))->toBe([null]);
    $this->postJson("/programs/{$this->program->id}/measure", ['revision' => 1, 'at' => [[0]]])->assertStatus(422);
});

it('compares with what is wanted, and says so where nothing is', function (): void {
    [$head, $columns] = PackedColumns::read($this->postJson("/programs/{$this->program->id}/as-wanted", ['revision' => 1])->assertOk()->getContent());
    $mended = str_replace('G1 Z-3. F800.', 'G1 Z.5 F800.', Demo::text('1935'));
    [$right, $map] = PackedColumns::read($this->postJson("/programs/{$this->program->id}/as-wanted", ['text' => $mended])->assertOk()->getContent());
    expect($head['gouged']['by'])->toBe('3.000 mm')->and(min($columns->numbers('map')))->toBe(-3.0)->and($head['sizes'][0])->toMatchArray(
        ['feature' => 'Pocket', 'what' => 'length', 'got' => '44.000 mm', 'within' => true],
    )
        ->and([$right['gouged'], $right['left']])->toBe([null, null])->and(max(array_map(abs(...), $map->numbers('map'))))->toBeLessThan(0.1);
    $this->program->setup->update(['document' => (object) array_diff_key(documentOf($this->program->setup), ['target' => 1])]);
    $this->postJson("/programs/{$this->program->id}/as-wanted", ['revision' => 1])->assertStatus(422)->assertJsonPath(
        'message', 'The setup has no drawing sizes. Enter them there first.',
    );
});

it('takes all of a program out of the stock on the queue where it is too much to wait for', function (): void {
    config(['oak.stock_visits' => 1000, 'oak.stock_picture_visits' => 1000]);
    [$head] = checked($this->program, Demo::text('1935'));
    expect($head['result']['summary']['stock']['tooLong'])->toBeTrue()
        ->and(array_column($head['result']['findings'], 'check'))->toContain('cutting.not-followed');
    $what = ['text' => Demo::text('1935')];
    $this->postJson("/programs/{$this->program->id}/stock", $what)->assertStatus(422);
    [$whole] = PackedColumns::read($this->postJson("/programs/{$this->program->id}/check", $what + ['wholeStock' => true])->assertOk()->getContent());
    [$stands] = ($this->stands)($what);
    expect($whole['result']['summary']['stock']['complete'])->toBeTrue()
        ->and(array_column($whole['result']['findings'], 'check'))->toContain('cutting.flute-length')
        ->and(count($stands['after']))->toBeGreaterThan(10);
});

it('takes solids into a setup, and says what is wrong with one', function (): void {
    $setup = $this->program->setup;
    $stl = base64_encode($this->postJson("/programs/{$this->program->id}/solid", ['revision' => 1])->getContent());
    $document = ['stock' => ['shape' => 'solid', 'stl' => $stl, 'name' => 'as-cut.stl']] + documentOf($setup);
    $this->putJson("/setups/{$setup->id}", ['document' => $document, 'machineId' => $setup->machine_id, 'version' => $setup->version])->assertOk();
    [$head] = ($this->stands)(['text' => "G21 G90\nM30\n"]);
    // What one setup leaves is what the next begins with.
    expect($head['fields'][0]['top'])->toEqual(-3)->and($head['fields'][0]['bottom'])->toEqual(-30);
    $document['stock']['stl'] = base64_encode('no solid');
    $this->putJson(
        "/setups/{$setup->id}", ['document' => $document, 'machineId' => $setup->machine_id, 'version' => $setup->refresh()->version],
    )->assertStatus(422)->assertJsonPath('fields', fn (array $fields): bool => isset($fields['stock.stl']));
});

it('measures what is clamped at another work offset in its own coordinates', function (): void {
    $setup = $this->program->setup;
    $document = documentOf($setup);
    $zero = $document['workOffsets']['G54'];
    $document['workOffsets']['G55'] = ['X' => $zero['X'] + 150, 'Y' => $zero['Y'], 'Z' => $zero['Z'] - 5];
    $document['moreStock'] = [['shape' => 'cylinder', 'diameter' => 60, 'length' => 20, 'workOffset' => 'G55']];
    $this->putJson("/setups/{$setup->id}", ['document' => $document, 'machineId' => $setup->machine_id, 'version' => $setup->version])->assertOk();
    $text = "G21 G17 G40 G49 G80 G90 G94\nT2 M6\nS4800 M3\nG55 G0 X5. Y0.\nG43 H2 Z40.\nZ2.\nG1 Z-4. F200.\nG3 I-5. F500.\nX0.\nG0 Z40.\nM30\n";
    [$head, $columns] = ($this->stands)(['text' => $text]);
    expect($head['fields'])->toHaveCount(2)->and($head['fields'][1]['x'])->toEqual(150 - 30)->and($head['fields'][1]['top'])->toEqual(-5)
        ->and(min($columns->numbers('heights')))->toEqual(-25);
    // A place of the drawing, whose zero is that of G54.
    [$feature] = $this->postJson("/programs/{$this->program->id}/measure", ['text' => $text, 'at' => [[152, 1]]])->assertOk()->json('features');
    $rows = array_column($feature['rows'], 1, 0);
    expect($feature['shape'])->toBe('Hole or round pocket')
        ->and($rows['diameter'])->toBe('22.000 mm')
        ->and($rows['depth'])->toBe('4.000 mm')
        ->and($rows['middle'])->toEndWith(' in G55');
    $section = $this->postJson("/programs/{$this->program->id}/section", ['text' => $text, 'from' => [110, 0], 'to' => [190, 0]])->assertOk()->json();
    expect(min(array_column($section['cut'], 1)))->toEqual(-20)->and($section['wanted'])->toBeNull();
});
