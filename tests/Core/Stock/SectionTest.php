<?php

declare(strict_types=1);

use OakTrace\Core\Control\Plane;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Stock\Body;
use OakTrace\Core\Stock\Cutter;
use OakTrace\Core\Stock\Measure\Profile;
use OakTrace\Core\Stock\Move;
use OakTrace\Core\Trace\MotionKind;

const PLATE = [[-30.0, -20.0, -15.0], [30.0, 20.0, 0.0]];

/** The moves of SolidTest's wander() as the stock takes them. */
function movesOf(Cutter $cutter, array $wandered): array
{
    $tool = new Tool(1, '', ToolKind::EndMill, 2 * $cutter->radius);

    return array_map(fn (array $move): Move => new Move(
        1, 0, $tool, $cutter, isset($move['centre']) ? MotionKind::ARC : MotionKind::FEED, false, ...$move['from'], ...$move['to'],
        length: 1.0, arc: isset($move['centre']) ? [...$move['centre'], $move['sweep']] : null, plane: Plane::XY,
    ), $wandered);
}

it('cuts a section as a geometry library does', function (): void {
    // The library is manifold-3d, which sweeps solids and cuts them along the line; what is compared is the area of the cut face.
    $cutters = [Cutter::flat(4.0), Cutter::ball(3.5), Cutter::bull(5.0, 1.5), Cutter::cone(4.0, 90.0)];
    $stock = Stock::box('G54', ...[...PLATE, []]);
    $tasks = $found = [];
    for ($seed = 0; $seed < 12; $seed++) {
        $cutter = $cutters[$seed % 4];
        $wandered = wander($cutter, 100 + $seed);
        [$from, $to] = [[-30.0, -19.0 + 3 * $seed], [30.0, 17.0 - 2.5 * $seed]];
        $body = new Body(0, $stock->blank->seen(2.0), $stock->blank, null, [0.0, 0.0, 0.0], 1.0);
        $profile = Profile::along($body, movesOf($cutter, $wandered), $from, $to, 4000);
        $found[] = (array_sum($profile->heights) + 15.0 * count($profile->heights)) * $profile->step;
        $tasks[] = [
            'min' => PLATE[0], 'max' => PLATE[1], 'line' => ['from' => $from, 'to' => $to],
            'moves' => array_map(fn (array $move): array => ['path' => placesOf($move)] + get_object_vars($cutter), $wandered),
        ];
    }
    $file = (string) tempnam(sys_get_temp_dir(), 'oak');
    file_put_contents($file, json_encode($tasks));
    $judge = proc_open(['node', dirname(__DIR__).'/Judge/solid.mjs'], [['file', $file, 'r'], ['pipe', 'w']], $pipes);
    $areas = json_decode((string) stream_get_contents($pipes[1]), true);
    proc_close($judge);
    unlink($file);
    expect($areas)->toHaveCount(12);
    foreach ($areas as $seed => $area) {
        expect($found[$seed])->toEqualWithDelta($area, 0.005 * $area, 'line '.$seed)
            ->and($found[$seed])->toBeLessThan(15.0 * hypot(60, 36) + 1);
    }
});

it('is the same along a line and back', function (): void {
    $stock = Stock::box('G54', ...[...PLATE, []]);
    $body = new Body(0, $stock->blank->seen(2.0), $stock->blank, null, [0.0, 0.0, 0.0], 1.0);
    $moves = movesOf(Cutter::ball(3.5), wander(Cutter::ball(3.5), 5));
    $forth = Profile::along($body, $moves, [-30.0, -10.0], [30.0, 12.0], 1000);
    $back = Profile::along($body, $moves, [30.0, 12.0], [-30.0, -10.0], 1000);
    expect(array_reverse($back->heights))->toEqualWithDelta($forth->heights, 1e-6);
});
