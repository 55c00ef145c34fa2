<?php

declare(strict_types=1);

use OakTrace\Core\Control\Plane;
use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Shift;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolGeometry;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Stock\Body;
use OakTrace\Core\Stock\Cutter;
use OakTrace\Core\Stock\Measure\Profile;
use OakTrace\Core\Stock\Move;
use OakTrace\Core\Stock\Sweep;
use OakTrace\Core\Trace\MotionKind;
use Tests\Core\Judge\Script;

const BLOCK = [[-30.0, -20.0, -15.0], [30.0, 20.0, 0.0]];

/** A few moves of a cutter after one another: level, sloping, straight down, and round an arc. */
function wander(Cutter $cutter, int $seed): array
{
    mt_srand($seed);
    $between = fn (float $low, float $high): float => round($low + ($high - $low) * mt_rand() / mt_getrandmax(), 2);
    $at = [$between(-25, 25), $between(-15, 15), 3.0];
    $moves = [];
    for ($n = 0; $n < 7; $n++) {
        $kind = ['down', 'level', 'slope', 'arc'][$n < 1 ? 0 : mt_rand(0, 3)];
        $to = match ($kind) {
            'down' => [$at[0], $at[1], $between(-9, -1)],
            'level' => [$between(-32, 32), $between(-22, 22), $at[2]],
            default => [$between(-32, 32), $between(-22, 22), $between(-9, -1)],
        };
        if ($kind === 'arc') {
            $center = [$at[0] + $between(-8, 8), $at[1] + $between(3, 9)];
            $sweep = $between(-300, 300);
            $turn = deg2rad($sweep) + atan2($at[1] - $center[1], $at[0] - $center[0]);
            $radius = hypot($at[0] - $center[0], $at[1] - $center[1]);
            $to = [$center[0] + $radius * cos($turn), $center[1] + $radius * sin($turn), $n % 2 === 0 ? $at[2] : $to[2]];
            $moves[] = ['from' => $at, 'to' => $to, 'centre' => $center, 'sweep' => $sweep];
        } else {
            $moves[] = ['from' => $at, 'to' => $to];
        }
        $at = $to;
    }

    return $moves;
}

/** @return list<array{float, float, float}> the places a move goes through, an arc in fine chords */
function placesOf(array $move): array
{
    if (! isset($move['centre'])) {
        return [$move['from'], $move['to']];
    }
    [$center, $sweep, $from, $to] = [$move['centre'], deg2rad($move['sweep']), $move['from'], $move['to']];
    $radius = hypot($from[0] - $center[0], $from[1] - $center[1]);
    $start = atan2($from[1] - $center[1], $from[0] - $center[0]);
    $count = (int) ceil(abs($move['sweep']) / 10) + 1;

    return array_map(
        fn (int $n): array => [
            $center[0] + $radius * cos($start + $sweep * $n / $count), $center[1] + $radius * sin($start + $sweep * $n / $count),
            $from[2] + ($to[2] - $from[2]) * $n / $count,
        ],
        range(0, $count),
    );
}

/** @return array{HeightField, Sweep, float} the field, the sweep, and what was taken in all */
function takenOut(Cutter $cutter, array $moves, float $cell): array
{
    $field = HeightField::box(Box::of(BLOCK[0], BLOCK[1]), $cell);
    $sweep = new Sweep($field);
    $volume = 0.0;
    foreach ($moves as $move) {
        isset($move['centre'])
            ? $sweep->arc($cutter, $move['from'][0], $move['from'][1], $move['centre'][0], $move['centre'][1], $move['sweep'], $move['from'][2], $move['to'][2])
            : $sweep->straight($cutter, ...$move['from'], ...$move['to']);
        $volume += $sweep->volume;
    }

    return [$field, $sweep, $volume];
}

dataset('cutters', [
    'flat' => [fn (): Cutter => Cutter::flat(4.0)],
    'ball' => [fn (): Cutter => Cutter::ball(3.5)],
    'bull' => [fn (): Cutter => Cutter::bull(5.0, 1.5)],
    'cone' => [fn (): Cutter => Cutter::cone(4.0, 90.0)],
    'drill' => [fn (): Cutter => Cutter::cone(3.0, 118.0)],
]);

it('takes away what solids do that are swept and taken away by a geometry library', function (): void {
    // The library is manifold-3d, which knows nothing of cells.
    $cutters = [Cutter::flat(4.0), Cutter::ball(3.5), Cutter::bull(5.0, 1.5), Cutter::cone(4.0, 90.0)];
    $tasks = $found = [];
    for ($seed = 0; $seed < 12; $seed++) {
        $cutter = $cutters[$seed % 4];
        $moves = wander($cutter, $seed);
        $found[] = takenOut($cutter, $moves, 0.125)[2];
        $tasks[] = [
            'min' => BLOCK[0], 'max' => BLOCK[1],
            'moves' => array_map(fn (array $move): array => ['path' => placesOf($move)] + get_object_vars($cutter), $moves),
        ];
    }
    $volumes = Script::ask('solid.mjs', $tasks);
    expect($volumes)->toHaveCount(12);
    foreach ($volumes as $seed => $volume) {
        expect($found[$seed])->toEqualWithDelta($volume, 0.005 * $volume, 'moves '.$seed);
    }
});

it('comes to the same in whatever order', function (Closure $cutter): void {
    $moves = wander($cutter(), 91);
    [$forth, , $volume] = takenOut($cutter(), $moves, 0.25);
    [$back, , $other] = takenOut($cutter(), array_reverse($moves), 0.25);
    expect($back->heights)->toEqualWithDelta($forth->heights, 1e-9)->and($other)->toEqualWithDelta($volume, 1e-6);
})->with('cutters');

it('takes nothing the second time', function (Closure $cutter): void {
    $moves = wander($cutter(), 17);
    [$field, $sweep] = takenOut($cutter(), $moves, 0.25);
    $after = $field->heights;
    foreach ($moves as $move) {
        isset($move['centre'])
            ? $sweep->arc(
                $cutter(), $move['from'][0], $move['from'][1], $move['centre'][0], $move['centre'][1], $move['sweep'], $move['from'][2], $move['to'][2],
            )
            : $sweep->straight($cutter(), ...$move['from'], ...$move['to']);
        expect($sweep->volume)->toBeLessThan(1e-6)->and($sweep->depth)->toBeLessThan(1e-6);
    }
    expect($field->heights)->toEqualWithDelta($after, 1e-6);
})->with('cutters');

it('takes the same in pieces as in one', function (Closure $cutter): void {
    $whole = [['from' => [-28.0, -11.3, -1.0], 'to' => [26.0, 9.7, -6.0]], ['from' => [26.0, 9.7, -6.0], 'to' => [-10.0, 14.0, -6.0]]];
    $pieces = [];
    foreach ($whole as ['from' => $from, 'to' => $to]) {
        for ($n = 0; $n < 9; $n++) {
            $pieces[] = [
                'from' => array_map(fn (float $a, float $b): float => $a + ($b - $a) * $n / 9, $from, $to),
                'to' => array_map(fn (float $a, float $b): float => $a + ($b - $a) * ($n + 1) / 9, $from, $to),
            ];
        }
    }
    expect(takenOut($cutter(), $pieces, 0.25)[0]->heights)->toEqualWithDelta(takenOut($cutter(), $whole, 0.25)[0]->heights, 1e-9);
})->with('cutters');

it('lowers cells to the edge itself, and those it does not reach not at all', function (Closure $cutter): void {
    // Every cell of a straight level path, by the distance of its place from the path and the profile of the cutter.
    $cutter = $cutter();
    [$field] = takenOut($cutter, [['from' => [-12.0, -5.0, -4.0], 'to' => [14.0, 8.0, -4.0]]], 0.5);
    [$along, $length] = [[26 / hypot(26, 13), 13 / hypot(26, 13)], hypot(26, 13)];
    foreach ($field->heights as $cell => $height) {
        [$x, $y] = $field->place($cell);
        $t = max(0.0, min($length, ($x + 12) * $along[0] + ($y + 5) * $along[1]));
        $away = hypot($x + 12 - $t * $along[0], $y + 5 - $t * $along[1]);
        expect($height)->toEqualWithDelta($away > $cutter->radius ? 0.0 : min(0.0, -4 + $cutter->height($away ** 2)), 1e-9);
    }
})->with('cutters');

it('comes closer the finer its cells are', function (Closure $cutter): void {
    $moves = wander($cutter(), 5);
    $finest = takenOut($cutter(), $moves, 0.05)[2];
    $errors = array_map(fn (float $cell): float => abs(takenOut($cutter(), $moves, $cell)[2] - $finest) / $finest, [2.0, 0.5, 0.125]);
    expect($errors[0])->toBeLessThan(0.12)->and($errors[1])->toBeLessThan(0.02)->and($errors[2])->toBeLessThan(0.004);
})->with('cutters');

/** The moves of wander() as the stock takes them. */
function movesOf(Cutter $cutter, array $wandered): array
{
    $tool = new Tool(1, '', ToolKind::EndMill, new ToolGeometry(2 * $cutter->radius));

    return array_map(fn (array $move): Move => new Move(
        1, 0, $tool, $cutter, isset($move['centre']) ? MotionKind::ARC : MotionKind::FEED, false, PartPoint::of($move['from']),
        PartPoint::of($move['to']), 1.0, arc: isset($move['centre']) ? new Arc(...[...$move['centre'], $move['sweep']]) : null, plane: Plane::XY,
    ), $wandered);
}

it('cuts a section as a geometry library does', function (): void {
    // The library is manifold-3d, which sweeps solids and cuts them along the line; what is compared is the area of the cut face.
    $cutters = [Cutter::flat(4.0), Cutter::ball(3.5), Cutter::bull(5.0, 1.5), Cutter::cone(4.0, 90.0)];
    $stock = Stock::box('G54', Box::of(...BLOCK), []);
    $tasks = $found = [];
    for ($seed = 0; $seed < 12; $seed++) {
        $cutter = $cutters[$seed % 4];
        $wandered = wander($cutter, 100 + $seed);
        [$from, $to] = [[-30.0, -19.0 + 3 * $seed], [30.0, 17.0 - 2.5 * $seed]];
        $body = new Body(0, $stock->blank->seen(2.0), $stock->blank, null, Shift::none());
        $profile = Profile::along($body, movesOf($cutter, $wandered), $from, $to, 4000);
        $found[] = (array_sum($profile->heights) + 15.0 * count($profile->heights)) * $profile->step;
        $tasks[] = [
            'min' => BLOCK[0], 'max' => BLOCK[1], 'line' => ['from' => $from, 'to' => $to],
            'moves' => array_map(fn (array $move): array => ['path' => placesOf($move)] + get_object_vars($cutter), $wandered),
        ];
    }
    $areas = Script::ask('solid.mjs', $tasks);
    expect($areas)->toHaveCount(12);
    foreach ($areas as $seed => $area) {
        expect($found[$seed])->toEqualWithDelta($area, 0.005 * $area, 'line '.$seed)
            ->and($found[$seed])->toBeLessThan(15.0 * hypot(60, 36) + 1);
    }
});

it('is the same along a line and back', function (): void {
    $stock = Stock::box('G54', Box::of(...BLOCK), []);
    $body = new Body(0, $stock->blank->seen(2.0), $stock->blank, null, Shift::none());
    $moves = movesOf(Cutter::ball(3.5), wander(Cutter::ball(3.5), 5));
    $forth = Profile::along($body, $moves, [-30.0, -10.0], [30.0, 12.0], 1000);
    $back = Profile::along($body, $moves, [30.0, 12.0], [-30.0, -10.0], 1000);
    expect(array_reverse($back->heights))->toEqualWithDelta($forth->heights, 1e-6);
});
