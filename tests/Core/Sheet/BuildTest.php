<?php

declare(strict_types=1);

use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Sheet\MoveKind;
use OakTrace\Core\Sheet\Operations\Measure;
use OakTrace\Core\Sheet\Plan;
use OakTrace\Core\Sheet\Planner;
use OakTrace\Core\Sheet\ProgramWriter;
use OakTrace\Core\Sheet\SheetError;
use Tests\Core\Bench;
use Tests\Core\Sheet\SheetBench;

/** One of each operation, as a machinist might fill it in. */
const OPERATIONS = [
    'drilled' => ['kind' => 'holes', 'tool' => 2, 'cycle' => 'peck', 'depth' => 15, 'at' => ['kind' => 'circle', 'size' => 60, 'holes' => 6, 'skip' => [3]]],
    'chips broken' => [
        'kind' => 'holes', 'tool' => 2, 'cycle' => 'chip-break', 'depth' => 15,
        'at' => ['kind' => 'line', 'from' => [-40, 0], 'to' => [40, 0], 'holes' => 5],
    ],
    'spotted' => ['kind' => 'holes', 'tool' => 7, 'cycle' => 'spot', 'diameter' => 4, 'depth' => 2, 'at' => ['kind' => 'single', 'place' => [1.25, -3]]],
    'through' => ['kind' => 'holes', 'tool' => 2, 'through' => true, 'cycle' => 'drill', 'at' => ['kind' => 'list', 'places' => [[10, 10], [30, 10]]]],
    'from high up' => [
        'kind' => 'holes', 'tool' => 2, 'depth' => 6, 'return' => 'initial',
        'at' => ['kind' => 'grid', 'from' => [0, 0], 'columns' => 3, 'rows' => 2, 'pitch' => 15],
    ],
    'face' => ['kind' => 'face', 'tool' => 5, 'depth' => 1, 'step' => 0.6],
    'face one way' => ['kind' => 'face', 'tool' => 5, 'depth' => 1, 'step' => 2, 'way' => 'one-way'],
    'round pocket' => ['kind' => 'round-pocket', 'tool' => 1, 'size' => 40.6, 'depth' => 6, 'step' => 3, 'compensation' => 'computed'],
    'pocket' => [
        'kind' => 'pocket', 'tool' => 1, 'length' => 60, 'pocketWidth' => 36, 'corner' => 8, 'turned' => 30, 'depth' => 6, 'step' => 3,
        'compensation' => 'computed',
    ],
    'pocket up and down' => [
        'kind' => 'pocket', 'tool' => 1, 'length' => 20, 'pocketWidth' => 50, 'corner' => 7, 'depth' => 3, 'step' => 3, 'compensation' => 'computed',
    ],
    'frame outside' => ['kind' => 'frame', 'tool' => 1, 'length' => 100, 'width' => 80, 'corner' => 5, 'depth' => 5, 'step' => 3, 'compensation' => 'computed'],
    'frame inside' => [
        'kind' => 'frame', 'tool' => 1, 'side' => 'inside', 'length' => 60, 'width' => 40, 'corner' => 8, 'depth' => 3, 'step' => 3,
        'compensation' => 'computed',
    ],
    'circle outside' => [
        'kind' => 'frame', 'tool' => 1, 'size' => ['radius' => 40], 'depth' => 4, 'step' => 4, 'direction' => 'conventional',
        'compensation' => 'computed',
    ],
    'hexagon' => ['kind' => 'polygon', 'tool' => 1, 'sides' => 6, 'acrossFlats' => 70, 'flatAt' => 15, 'depth' => 4, 'step' => 4, 'compensation' => 'computed'],
    'hexagon inside' => [
        'kind' => 'polygon', 'tool' => 1, 'side' => 'inside', 'sides' => 6, 'acrossFlats' => 40, 'depth' => 4, 'step' => 4, 'compensation' => 'computed',
    ],
    'a row of seats' => [
        'kind' => 'round-pocket', 'tool' => 1, 'positions' => ['drawing' => [[-30, 0], [0, 5], [30, 0]]], 'size' => 20, 'depth' => 3, 'step' => 3,
        'compensation' => 'computed',
    ],
    'measured before the finish' => [
        'kind' => 'round-pocket', 'tool' => 1, 'size' => 40.6, 'depth' => 6, 'step' => 3, 'measure' => 'before the finish', 'compensation' => 'computed',
    ],
    'slot' => ['kind' => 'slot', 'tool' => 3, 'from' => [-30, 10], 'to' => [20, -15], 'width' => 11.2, 'depth' => 5, 'step' => 2.4],
    'slot open' => [
        'kind' => 'slot', 'tool' => 3, 'from' => [-60, 0], 'to' => [60, 0], 'width' => 11.2, 'ends' => 'open', 'depth' => 5, 'step' => 2.4,
        'compensation' => 'computed',
    ],
    'spots' => ['kind' => 'dab-grid', 'tool' => 6, 'corner' => [-20, -20], 'width' => 40, 'height' => 40, 'stagger' => true, 'serpentine' => true],
];

/** @return list<array{float, float, float|null}> where the tool of a plan goes, holes left aside; how high is not said of the first way across */
function planned(Plan $plan): array
{
    $unit = $plan->sheet->units->millimetres();
    $at = [0.0, 0.0, null];
    $places = [];
    foreach ($plan->order() as [$step]) {
        foreach ($step->moves as $move) {
            if (in_array($move->kind, [MoveKind::Rapid, MoveKind::Feed, MoveKind::Clockwise, MoveKind::CounterClockwise], true)) {
                $at = [$move->x ?? $at[0], $move->y ?? $at[1], $move->z ?? $at[2]];
                $places[] = array_map(static fn (?float $value): ?float => $value === null ? null : $value / $unit, $at);
            }
        }
    }

    return $places;
}

// Read again, every place of the plan comes in its order, and nothing is cut beside them.
it('writes a program that makes the motion that was planned', function (array $operation, string $profile, string $units): void {
    $plan = SheetBench::plan([$operation], ['profile' => $profile]);
    if ($units === 'inch') {
        $plan = SheetBench::plan(
            [inInches($operation)], ['profile' => $profile, 'units' => 'inch'] + array_diff_key(inInches(SheetBench::sheet([])), ['operations' => 0]),
        );
    }
    $rows = Bench::moves(ProgramWriter::write($plan)->text(), SheetBench::setup($plan) + ['stock' => null]);
    $least = $plan->sheet->units->leastIncrement() / $plan->sheet->units->millimetres();
    $n = 0;
    foreach (planned($plan) as $place) {
        while (
            isset($rows[$n])
            && max(array_map(static fn (float $is, ?float $to): float => $to === null ? 0.0 : abs($is - $to), $rows[$n]['to'], $place)) > 0.6 * $least
        ) {
            $n++;
        }
        expect($rows)->toHaveKey($n, message: 'never gets to '.json_encode($place));
    }
})->with(operationsByProfile(...));

/** @return array<string, array{array<string, mixed>, string, string}> */
function operationsByProfile(): array
{
    $cases = [];
    foreach (OPERATIONS as $name => $operation) {
        foreach ([['iso-mill', 'mm'], ['integer-mill', 'mm'], ['wide-table-mill', 'mm'], ['iso-mill', 'inch']] as [$profile, $units]) {
            $cases["{$name}, {$profile}, {$units}"] = [$operation, $profile, $units];
        }
    }

    return $cases;
}

/** The same in inches, every length typed with its unit. */
function inInches(array $fields): array
{
    $plain = ['tool', 'number', 'holes', 'columns', 'rows', 'sides', 'skip', 'angle', 'turned', 'flatAt', 'pointAngle', 'rpm', 'programNumber'];
    foreach ($fields as $name => $value) {
        if (is_array($value)) {
            $fields[$name] = $name === 'skip' ? $value : inInches($value);
        } elseif ((is_int($value) || is_float($value)) && ! in_array($name, $plain, true)) {
            $fields[$name] = $value / 25.4;
        }
    }

    return $fields;
}

it('takes out what the drawing says, without a stop', function (array $operation, ?float $volume): void {
    [$run, $stock] = SheetBench::run(SheetBench::plan([$operation]), cell: 0.25);
    expect(SheetBench::stops($run))->toBe([]);
    if ($volume !== null) {
        expect($stock->removed())->toEqualWithDelta($volume, 0.01 * $volume);
    }
})->with([
    // Closed forms of the volumes.
    'round pocket' => [['compensation' => 'control'] + OPERATIONS['round pocket'], M_PI * 20.3 ** 2 * 6],
    'pocket' => [['compensation' => 'control'] + OPERATIONS['pocket'], (60 * 36 - (4 - M_PI) * 64) * 6],
    'a row' => [['compensation' => 'control'] + OPERATIONS['a row of seats'], 3 * M_PI * 10 ** 2 * 3],
    'measured' => [['compensation' => 'control'] + OPERATIONS['measured before the finish'], M_PI * 20.3 ** 2 * 6],
    'slot' => [OPERATIONS['slot'], (hypot(50, 25) * 11.2 + M_PI * 5.6 ** 2) * 5],
    'slot, open' => [['compensation' => 'control'] + OPERATIONS['slot open'], 120 * 11.2 * 5],
    'face' => [OPERATIONS['face'], 120 * 100 * 1.0],
    'holes' => [OPERATIONS['through'], 2 * M_PI * 3.4 ** 2 * 20],
    // Less what stands in the four corners of the raw part, beyond the reach of a mill of 12 that rolls round a corner of 5.
    'frame' => [
        ['compensation' => 'control'] + OPERATIONS['frame outside'],
        (120 * 100 - 100 * 80 + (4 - M_PI) * 25 - 4 * (15 ** 2 - 15 * sqrt(17.2 ** 2 - 15 ** 2) - 17.2 ** 2 * (M_PI / 4 - acos(15 / 17.2)))) * 5,
    ],
    'hexagon' => [['compensation' => 'control'] + OPERATIONS['hexagon'], null],
]);

// A sheet of random sizes, tools and raw part: the program has no stop, and what is left is what was asked.
it('makes what was asked from any sheet', function (int $seed): void {
    mt_srand($seed);
    $between = static fn (float $low, float $high): float => round($low + ($high - $low) * mt_rand() / mt_getrandmax(), 2);
    $mill = [4, 5, 6, 8, 10, 12, 16][mt_rand(0, 6)];
    $drill = $between(2.5, 12.0);
    $thick = $between(12.0, 30.0);
    $depth = $between(1.0, $thick - 4);
    $round = $between($mill + 1.0, 46.0);
    $long = [$between($mill + 2.0, 46.0), $between($mill + 2.0, 40.0)];
    $corner = min($between($mill / 2 + 0.1, $mill), ...array_map(static fn (float $size): float => $size / 2, $long));
    $turned = $between(0.0, 180.0);
    $wide = $between($mill * 1.1 + 0.2, $mill * 1.8);
    $material = ['aluminium', 'brass', 'steel'][mt_rand(0, 2)];
    $plan = SheetBench::plan([
        ['id' => 'round', 'kind' => 'round-pocket', 'tool' => 1, 'centre' => [-40, 30], 'size' => ['radius' => $round / 2], 'depth' => $depth],
        [
            'id' => 'pocket', 'kind' => 'pocket', 'tool' => 1, 'centre' => [35, 30], 'length' => $long[0], 'pocketWidth' => $long[1], 'corner' => $corner,
            'turned' => $turned, 'depth' => $depth, 'direction' => mt_rand(0, 1) === 1 ? 'climb' : 'conventional',
        ],
        [
            'id' => 'slot', 'kind' => 'slot', 'tool' => 1, 'from' => [-60, -25], 'to' => [$between(-40, -10), -25], 'width' => $wide,
            'depth' => min($depth, $mill),
        ],
        [
            'id' => 'holes', 'kind' => 'holes', 'tool' => 2, 'through' => true,
            'at' => ['kind' => 'circle', 'centre' => [40, -35], 'size' => 36, 'holes' => 3, 'first' => $turned],
        ],
    ], [
        'material' => $material, 'stock' => ['shape' => 'box', 'min' => [-90, -75, -$thick], 'max' => [90, 75, 0]], 'tools' => [
            ['number' => 1, 'name' => 'mill', 'kind' => 'end-mill', 'diameter' => $mill, 'centerCutting' => true, 'rpm' => 3000, 'feed' => 300],
            ['number' => 2, 'name' => 'drill', 'kind' => 'drill', 'diameter' => $drill, 'rpm' => 2000, 'feed' => 150],
        ],
    ]);
    $given = array_column(array_map(static fn ($step): array => ['id' => $step->step->id, 'given' => $step->step->given], $plan->steps), 'given', 'id');
    $target = ['tolerance' => 0.05, 'features' => [
        ['name' => 'round', 'kind' => 'hole', 'at' => [-40, 30], 'diameter' => $round, 'depth' => $depth, 'floor' => 'flat'],
        [
            'name' => 'pocket', 'kind' => 'pocket', 'at' => [35, 30], 'length' => $long[0], 'width' => $long[1], 'corner' => $corner,
            'angle' => $turned, 'depth' => $depth,
        ],
        ['name' => 'slot', 'kind' => 'slot', 'from' => [-60, -25], 'to' => $given['slot']['to'], 'width' => $wide, 'depth' => min($depth, $mill)],
    ]];
    [$run] = SheetBench::run($plan, $target, 0.4);
    expect(SheetBench::stops($run))->toBe([]);
})->with(range(1, 155));

it('leaves the outside that was asked, on every control, climbing or not', function (int $seed): void {
    mt_srand(100 + $seed);
    $between = static fn (float $low, float $high): float => round($low + ($high - $low) * mt_rand() / mt_getrandmax(), 2);
    $mill = [6, 8, 10, 12, 16][mt_rand(0, 4)];
    $depth = $between(2.0, 12.0);
    $size = [$between(30.0, 80.0), $between(30.0, 70.0)];
    $corner = $between(0.5, 12.0);
    $isRound = mt_rand(0, 2) === 0;
    $turned = $isRound ? 0.0 : $between(0.0, 90.0);
    $more = ['direction' => mt_rand(0, 1) === 1 ? 'climb' : 'conventional', 'compensation' => mt_rand(0, 1) === 1 ? 'control' : 'computed'];
    $plan = SheetBench::plan([
        ($isRound ? ['size' => ['diameter' => $size[0]]] : ['length' => $size[0], 'width' => $size[1], 'corner' => $corner, 'turned' => $turned])
            + [
                'kind' => 'frame', 'tool' => 1, 'centre' => [2, -3], 'depth' => $depth, 'finish' => ['passes' => mt_rand(1, 2)],
                'spring' => mt_rand(0, 1),
            ] + $more,
    ], [
        'profile' => ['iso-mill', 'integer-mill', 'wide-table-mill'][$seed % 3],
        'stock' => ['shape' => 'box', 'min' => [-62, -60, -25], 'max' => [62, 60, 0]],
        'tools' => [['number' => 1, 'name' => 'mill', 'kind' => 'end-mill', 'diameter' => $mill, 'centerCutting' => true, 'rpm' => 3000, 'feed' => 300]],
    ]);
    $boss = $isRound ? ['diameter' => $size[0]] : ['length' => $size[0], 'width' => $size[1], 'corner' => $corner, 'angle' => $turned];
    [$run] = SheetBench::run($plan, ['tolerance' => 0.05, 'top' => -$depth, 'features' => [
        ['name' => 'outside', 'kind' => 'boss', 'at' => [2, -3], 'height' => $depth] + $boss,
    ]], 0.4);
    expect(SheetBench::stops($run))->toBe([]);
})->with(range(1, 30));

it('goes round an inside without touching its walls on the way down', function (int $seed): void {
    mt_srand(200 + $seed);
    $between = static fn (float $low, float $high): float => round($low + ($high - $low) * mt_rand() / mt_getrandmax(), 2);
    // Small enough for one round to leave nothing in the middle.
    [$length, $width, $corner] = [$between(20.0, 30.0), $between(20.0, 30.0), $between(8.1, 9.9)];
    [$turned, $depth] = [$between(0.0, 90.0), $between(2.0, 9.0)];
    $plan = SheetBench::plan([[
        'kind' => 'frame', 'side' => 'inside', 'tool' => 1, 'length' => $length, 'width' => $width, 'corner' => $corner, 'turned' => $turned,
        'depth' => $depth, 'direction' => mt_rand(0, 1) === 1 ? 'climb' : 'conventional', 'compensation' => mt_rand(0, 1) === 1 ? 'control' : 'computed',
    ]], ['tools' => [
        ['number' => 1, 'name' => 'mill', 'kind' => 'end-mill', 'diameter' => 16, 'centerCutting' => true, 'rpm' => 2000, 'feed' => 300],
    ]]);
    [$run] = SheetBench::run($plan, ['tolerance' => 0.05, 'features' => [
        [
            'name' => 'inside', 'kind' => 'pocket', 'at' => [0, 0], 'length' => $length, 'width' => $width, 'corner' => $corner, 'angle' => $turned,
            'depth' => $depth,
        ],
    ]], 0.4);
    expect(SheetBench::stops($run))->toBe([]);
})->with(range(1, 15));

it('gets down every way there is, and leaves the same', function (string $entry, array $operation): void {
    $first = $entry === 'hole' ? [['kind' => 'holes', 'tool' => 8, 'depth' => 10, 'cycle' => 'drill', 'at' => ['kind' => 'single', 'place' => [0, 0]]]] : [];
    $plan = SheetBench::plan([...$first, $operation + ['entry' => $entry, 'depth' => 6, 'step' => 3]], ['tools' => [
        ...SheetBench::sheet([])['tools'],
        ['number' => 8, 'name' => '11 drill', 'kind' => 'drill', 'diameter' => 11, 'rpm' => 1200, 'feed' => 150],
    ]]);
    [$run, $stock] = SheetBench::run($plan, cell: 0.25);
    $cut = $operation['kind'] === 'round-pocket' ? M_PI * 15 ** 2 * 6 : (48 * 30 - (4 - M_PI) * 64) * 6;
    // The drill goes on below the floor with its full diameter and its point of 118°.
    $point = 5.5 / tan(deg2rad(59));
    $below = $entry === 'hole' ? M_PI * 5.5 ** 2 * (4 - $point + $point / 3) : 0.0;
    expect(SheetBench::stops($run))->toBe([])->and($stock->removed())->toEqualWithDelta($cut + $below, 0.01 * $cut);
})->with([
    ['plunge', ['kind' => 'round-pocket', 'tool' => 1, 'size' => 30]],
    ['helix', ['kind' => 'round-pocket', 'tool' => 1, 'size' => 30]],
    ['hole', ['kind' => 'round-pocket', 'tool' => 1, 'size' => 30]],
    ['plunge', ['kind' => 'pocket', 'tool' => 1, 'length' => 48, 'pocketWidth' => 30, 'corner' => 8]],
    ['ramp', ['kind' => 'pocket', 'tool' => 1, 'length' => 48, 'pocketWidth' => 30, 'corner' => 8]],
    ['helix', ['kind' => 'pocket', 'tool' => 1, 'length' => 48, 'pocketWidth' => 30, 'corner' => 8]],
]);

it('rounds no figure of an arc so that a control would refuse it', function (string $units): void {
    $operations = array_map(
        static fn (int $n): array => [
            'kind' => 'pocket', 'tool' => 1, 'length' => 60, 'pocketWidth' => 40, 'corner' => 7.3, 'turned' => 7.7 * $n, 'depth' => 2, 'step' => 2,
        ],
        range(0, 11),
    );
    $plan = $units === 'mm' ? SheetBench::plan($operations) : SheetBench::plan(
        array_map(inInches(...), $operations), ['units' => 'inch'] + array_diff_key(inInches(SheetBench::sheet([])), ['operations' => 0]),
    );
    [$run] = SheetBench::run($plan, cell: 1.0);
    $named = array_map(static fn ($finding): string => $finding->check, $run->findings);
    expect(
        array_filter($named, static fn (string $check): bool => str_starts_with($check, 'geometry.arc-') || str_starts_with($check, 'compensation.')),
    )->toBe([]);
})->with(['mm', 'inch']);

// Worked example: 11.2 +0/−0.12, aimed at 11.08, with a cutter of 9.5.
it('cuts a slot along its middle, then both walls', function (): void {
    $moves = SheetBench::plan([[
        'kind' => 'slot', 'tool' => 3, 'from' => [-60, 0], 'to' => [60, 0], 'width' => ['width' => 11.2, 'tolerance' => [-0.12, 0], 'aim' => 'low'],
        'ends' => 'open', 'depth' => 5, 'step' => 2.4, 'compensation' => 'computed',
    ]])->steps[0]->moves;
    $y = $z = 0.0;
    $at = [];
    foreach ($moves as $move) {
        [$y, $z] = [$move->y ?? $y, $move->z ?? $z];
        if ($move->kind === MoveKind::Feed && abs($move->x ?? 0.0) > 60) {
            $at[sprintf('%.1f', $z)][sprintf('%.2f', abs($y))] = true;
        }
    }
    $sides = array_map(static function (array $sides): array {
        ksort($sides);

        return array_keys($sides);
    }, array_intersect_key($at, ['-2.4' => 0, '-4.8' => 0, '-5.0' => 0]));
    expect($sides)->toBe([
        '-2.4' => ['0.00'], '-4.8' => ['0.00'], '-5.0' => ['0.00', '0.54', '0.79'],
    ]);
});

// Worked example: 5.0 × 4.2 with corners of 0.15 and a cutter of 1/2 in.
it('goes round a frame beside it, round its corners, and is led in by an arc', function (): void {
    $plan = SheetBench::plan([
        [
            'kind' => 'frame', 'tool' => 1, 'length' => 5, 'width' => '4.2', 'corner' => 0.15, 'depth' => 0.2, 'step' => 0.2,
            'leave' => ['wall' => 0, 'floor' => 0], 'compensation' => 'computed',
        ],
    ], [
        'units' => 'inch', 'stock' => ['shape' => 'box', 'min' => [-2.6, -2.2, -1], 'max' => [2.6, 2.2, 0]],
        'tools' => [['number' => 1, 'name' => '1/2 end mill', 'kind' => 'end-mill', 'diameter' => 0.5, 'rpm' => 2000, 'feed' => 20]],
    ]);
    $corners = [];
    foreach ($plan->steps[0]->moves as $move) {
        if ($move->kind === MoveKind::Clockwise && abs(hypot($move->i, $move->j) / 25.4 - 0.4) < 1e-9) {
            $corners[] = [round(abs($move->x ?? 0.0) / 25.4, 4), round(abs($move->y ?? 0.0) / 25.4, 4)];
        }
    }
    // The path is 5.5 × 4.7 with corners of 0.4: they end on its sides, 0.4 from where these would meet.
    expect($corners)->toHaveCount(4)->and($corners)->each->toBeIn([[2.75, 1.95], [2.35, 2.35]]);
});

it('writes for each control as it reads', function (string $profile, string $units, array $lines): void {
    $text = SheetBench::build([
        ['kind' => 'holes', 'tool' => 7, 'cycle' => 'spot', 'diameter' => 4, 'depth' => 2, 'at' => ['kind' => 'list', 'places' => [[0, 0], [0, 10], [5, 10]]]],
    ], ['profile' => $profile])->lines;
    foreach ($lines as $line) {
        expect($text)->toContain($line);
    }
})->with([
    'seconds' => [
        'iso-mill', 'mm',
        [
            'O0012 (TRIAL PLATE)', 'G21 G17 G90 G94 G40 G49 G80', 'T7 M6', 'S2500 M3', 'G43 H7 Z25.', 'G99 G82 X0. Y0. Z-2. R2. P0.5 F200.', 'Y10.',
            'X5.', 'G80', 'M30',
        ],
    ],
    'milliseconds' => ['integer-mill', 'mm', ['G99 G82 X0. Y0. Z-2. R2. P500 F200.']],
]);

it('does several vices tool by tool, or part by part', function (string $order, array $made): void {
    $plan = SheetBench::plan([
        ['id' => 'spot', 'kind' => 'holes', 'tool' => 7, 'cycle' => 'spot', 'diameter' => 4, 'depth' => 2, 'at' => ['kind' => 'single', 'place' => [0, 0]]],
        ['id' => 'drill', 'kind' => 'holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'single', 'place' => [0, 0]]],
        ['id' => 'seat', 'kind' => 'round-pocket', 'tool' => 1, 'size' => 20, 'depth' => 3, 'step' => 3],
        ['id' => 'slot', 'kind' => 'slot', 'tool' => 3, 'from' => [-30, 30], 'to' => [30, 30], 'width' => 11, 'depth' => 3, 'step' => 3],
    ], ['workOffsets' => ['G54', 'G55'], 'order' => $order]);
    expect(array_map(static fn (array $one): string => "{$one['id']} {$one['offset']}", ProgramWriter::write($plan)->operations))->toBe($made)
        ->and($plan->toolChanges())->toBe([4, 8]); // worked example: four tools, two vices
    [$run] = SheetBench::run($plan);
    expect(substr_count(ProgramWriter::write($plan)->text(), ' M6'))->toBe($order === 'by-tool' ? 4 : 8)
        ->and(array_filter(SheetBench::stops($run), static fn (string $stop): bool => ! str_starts_with($stop, 'heights.')))->toBe([]);
})->with([
    ['by-tool', ['spot G54', 'spot G55', 'drill G54', 'drill G55', 'seat G54', 'seat G55', 'slot G54', 'slot G55']],
    ['by-part', ['spot G54', 'drill G54', 'seat G54', 'slot G54', 'spot G55', 'drill G55', 'seat G55', 'slot G55']],
]);

it('writes the demo’s sheets without a stop', function (string $sheet): void {
    $plan = Planner::planned(
        SheetBench::files()->read((string) file_get_contents(dirname(__DIR__, 3)."/database/demo/sheet-{$sheet}.json")), Profiles::named('iso-mill'),
    );
    expect(SheetBench::stops(SheetBench::run($plan, cell: 1.0)[0]))->toBe([]);
})->with(['1306', '1610', '1702']);

it('goes up between holes that begin lower than the part between them', function (): void {
    $lines = SheetBench::build([
        ['id' => 'seat', 'kind' => 'round-pocket', 'tool' => 1, 'centre' => [-20, 0], 'size' => 18, 'depth' => 4, 'step' => 4],
        ['kind' => 'repeat', 'operations' => ['seat'], 'grid' => ['columns' => 2, 'pitch' => 40]],
        ['kind' => 'holes', 'tool' => 2, 'top' => -4, 'depth' => 6, 'cycle' => 'drill', 'at' => ['kind' => 'list', 'places' => [[-20, 0], [20, 0]]]],
    ])->lines;
    expect($lines)->toContain('G98 G81 X-20. Y0. Z-10. R-2. F220.');
});

it('knows which lines belong to which operation', function (): void {
    $built = SheetBench::build([
        ['id' => 'a', 'kind' => 'holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'single', 'place' => [0, 0]]],
        ['id' => 'b', 'kind' => 'stop', 'text' => 'Turn the clamp (left)'],
        ['id' => 'c', 'kind' => 'note', 'text' => 'Deburr'], ['id' => 'd', 'kind' => 'holes', 'tool' => 2, 'off' => true],
    ]);
    $of = array_column($built->operations, 'lines', 'id');
    $lines = static fn (string $id): array => array_slice($built->lines, $of[$id][0] - 1, $of[$id][1] - $of[$id][0] + 1);
    expect($lines('b'))->toBe(['N20 (STOP)', 'G0 Z25.', '(TURN THE CLAMP [LEFT])', 'M0', 'S2200 M3'])->and($lines('c'))->toBe(['N30 (NOTE)', '(DEBURR)'])
        ->and($lines('a')[0])->toBe('(T2 6.8 DRILL)')->and($of)->not->toHaveKey('d');
});

it('says why it decided what nobody answered', function (array $operation, array $says): void {
    $choices = array_map(static fn ($choice): string => "{$choice->field}: {$choice->text}", SheetBench::plan([$operation])->steps[0]->choices);
    foreach ($says as $say) {
        expect($choices)->toContain($say);
    }
})->with([
    'a deep hole' => [['kind' => 'holes', 'tool' => 2, 'depth' => 40, 'at' => ['kind' => 'single', 'place' => [0, 0]]] + [], [
        'cycle: peck: {depth} is {ratio} diameters deep', 'peck: {share} of the diameter, common practice: {peck}',
    ]],
    'a mill without a limit' => [['kind' => 'round-pocket', 'tool' => 1, 'size' => 30, 'depth' => 9], [
        'step: {share} of the diameter in {material}, common practice: {step}', 'entry: helix: {room} from wall to wall leaves room for it',
    ]],
    'a narrow slot' => [['kind' => 'slot', 'tool' => 3, 'from' => [0, 0], 'to' => [40, 0], 'width' => 10, 'depth' => 3], [
        'entry: ramp: there is no room for a helix',
    ]],
    'a frame from beside' => [['kind' => 'frame', 'tool' => 1, 'length' => 110, 'width' => 90, 'corner' => 2, 'depth' => 3], [
        'entry: air: it begins beside the part',
    ]],
]);

// Worked example: 0.5 at 90° with the tip 1.5 below runs 1.5 off the edge at Z−2.0.
it('breaks an edge beside it, its tip below the chamfer', function (array $of, float $side, float $reach): void {
    $plan = SheetBench::plan([
        ['id' => 'edge'] + $of, ['kind' => 'chamfer-edge', 'tool' => 8, 'of' => 'edge', 'width' => 0.5, 'tipBelow' => 1.5],
    ], ['tools' => [...SheetBench::sheet([])['tools'], [
        'number' => 8, 'name' => '6 chamfer mill 90', 'kind' => 'chamfer-mill', 'diameter' => 6, 'pointAngle' => 90, 'rpm' => 4000, 'feed' => 600,
    ]]]);
    $moves = $plan->steps[1]->moves;
    $heights = array_filter(array_map(static fn ($move): ?float => $move->z, $moves), static fn (?float $z): bool => $z !== null);
    expect(min($heights))->toBe(-2.0);
    $y = array_map(static fn ($move): float => abs($move->y ?? 0.0), array_filter($moves, static fn ($move): bool => $move->kind !== MoveKind::Rapid));
    expect(max($y))->toEqualWithDelta($reach + $side * 1.5 + ($side > 0 ? 1.0 : 0.0), 1e-9); // outside it is led in from 1 mm further
    expect(SheetBench::stops(SheetBench::run($plan)[0]))->toBe([]);
})->with([
    'of a frame' => [['kind' => 'frame', 'tool' => 1, 'length' => 100, 'width' => 80, 'corner' => 5, 'depth' => 5, 'step' => 3], 1.0, 40.0],
    'of a pocket' => [['kind' => 'pocket', 'tool' => 1, 'length' => 60, 'pocketWidth' => 36, 'corner' => 8, 'depth' => 6, 'step' => 3], -1.0, 18.0],
]);

it('starts from a bore that is there, or that was made before', function (array $first, float $start): void {
    $plan = SheetBench::plan(
        [$first, ['kind' => 'round-pocket', 'tool' => 1, 'size' => 40.6, 'depth' => 6, 'step' => 6, 'width' => 5.4, 'leave' => ['wall' => 0.15]]],
    );
    $moves = $plan->steps[1]->moves;
    $radii = [];
    foreach ($moves as $move) {
        if ($move->kind === MoveKind::CounterClockwise && $move->z === null) {
            $radii[] = round(hypot($move->i, $move->j), 4);
        }
    }
    expect($radii[0])->toBe($start);
})->with([
    'a bore that is there' => [['kind' => 'outline', 'size' => 18, 'through' => true], 6.7167],
    'a pocket before' => [['kind' => 'round-pocket', 'tool' => 3, 'size' => 18, 'depth' => 7, 'step' => 7], 6.7167],
    'one that is not as deep' => [['kind' => 'outline', 'size' => 18, 'depth' => 3], 5.4],
]);

// Worked example: measured 11.065, wanted 11.14, a cutter of 9.5.
it('says what a cutter is to be called after measuring', function (): void {
    expect(Measure::cutter(9.5, 11.065, 11.14, true))->toEqualWithDelta(9.425, 1e-9)
        ->and(Measure::cutter(9.5, 40.05, 40.0, false))->toEqualWithDelta(9.45, 1e-9);
    $plan = SheetBench::plan([['kind' => 'measure', 'tool' => 3, 'what' => 'the slot', 'wanted' => 11.14, 'measured' => 11.065]]);
    expect($plan->steps[0]->choices[0]->figures['diameter']->value)->toEqualWithDelta(9.425, 1e-9)
        ->and(ProgramWriter::write($plan)->lines)->toContain('(MEASURE THE SLOT: 11.140 MM)', 'M0');
});

it('takes from a setup what the sheet does not say, and minds what stands there', function (): void {
    $sheet = array_diff_key(SheetBench::sheet([
        ['kind' => 'holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'list', 'places' => [[-30, 0], [-20, 0], [20, 0]]]],
        ['kind' => 'holes', 'tool' => 2, 'depth' => 6, 'at' => ['kind' => 'list', 'places' => [[-30, 20], [30, 20]]]],
    ]), ['stock' => 0, 'material' => 0]);
    $sheet['tools'] = [['number' => 2, 'rpm' => 1800, 'feed' => 250]];
    $clamp = ['name' => 'strap', 'shape' => 'box', 'min' => [-6, -8, 0], 'max' => [6, 8, 30]];
    $in = Bench::setup(['obstacles' => [$clamp]]);
    $plan = Planner::planned(SheetBench::files()->read((string) json_encode($sheet), $in), $in->machine->control);
    $lines = ProgramWriter::write($plan)->lines;
    expect($lines)->toContain('(RAW PART X-50. TO 50., Y-40. TO 40., Z-25. TO 0.)', '(T2 8.5 DRILL)', 'G43 H2 Z32.')
        // Up between the holes with the strap between them; the others have a free way.
        ->and($lines)->toContain('G98 G81 X-30. Y0. Z-5. R2. F250.', 'G99 G81 X-30. Y20. Z-6. R2. F250.')
        ->and($plan->steps[0]->choices[0]->figures)->toBe(['name' => 'strap', 'one' => 2, 'other' => 3]);
    $same = ['tools' => [['number' => 2, 'kind' => 'drill', 'diameter' => 8.5, 'rpm' => 1800, 'feed' => 250]]];
    expect(SheetBench::files()->read((string) json_encode($same + $sheet), $in)->tools[2]->tool->name)->toBe('8.5 drill');
    $other = ['tools' => [['number' => 2, 'kind' => 'drill', 'diameter' => 5, 'rpm' => 1800, 'feed' => 250]]];
    expect(
        fn () => SheetBench::files()->read((string) json_encode($other + $sheet), $in),
    )->toThrow(SheetError::class, 'tools.0: T2 is “8.5 drill” in the setup.');
    expect(fn () => SheetBench::files()->read((string) json_encode(['crossing' => 25] + $sheet), $in))
        ->toThrow(SheetError::class, 'crossing: “strap” stands 30.000 mm high: it is crossed no lower than 32.000 mm.');
});
