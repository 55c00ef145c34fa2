<?php

declare(strict_types=1);

use OakTrace\Core\Control\CycleForm;
use OakTrace\Core\Control\RoughKind;
use OakTrace\Core\Control\RoughRetract;
use OakTrace\Core\Control\ThreadDepths;
use OakTrace\Core\Control\ThreadShift;
use OakTrace\Core\Control\TurningOptions;
use OakTrace\Core\Cycles\Holes\BoreDwell;
use OakTrace\Core\Cycles\Holes\ChipBreakDrill;
use OakTrace\Core\Cycles\Holes\Drill;
use OakTrace\Core\Cycles\Holes\DrillDwell;
use OakTrace\Core\Cycles\Holes\PeckDrill;
use OakTrace\Core\Cycles\Holes\Tap;
use OakTrace\Core\Cycles\Turning\Columns;
use OakTrace\Core\Cycles\Turning\Contour;
use OakTrace\Core\Cycles\Turning\PeckAcross;
use OakTrace\Core\Cycles\Turning\PeckAlong;
use OakTrace\Core\Cycles\Turning\Pocket;
use OakTrace\Core\Cycles\Turning\RoughAcross;
use OakTrace\Core\Cycles\Turning\RoughAlong;
use OakTrace\Core\Cycles\Turning\RoughPattern;
use OakTrace\Core\Cycles\Turning\Stretch;
use OakTrace\Core\Cycles\Turning\ThreadPass;
use OakTrace\Core\Cycles\Turning\ThreadSeries;
use OakTrace\Core\Cycles\Turning\ThreadStroke;
use OakTrace\Core\Cycles\Turning\TurnAcross;
use OakTrace\Core\Cycles\Turning\TurnAlong;
use OakTrace\Core\Cycles\Turning\TurningCall;
use OakTrace\Core\Cycles\Turning\TurningMotion;
use OakTrace\Core\Geometry\Arc;

// The strokes of turning cycles one by one, worked out by hand (the cycles themselves: common practice, from memory).

/** Writes down what it is asked for: r rapid, f feed, t thread, then Z and X. */
final class WrittenStrokes implements TurningMotion
{
    /** @var list<string> */
    public array $made = [];

    public function rapid(float $z, float $x): void
    {
        $this->made[] = sprintf('r %.4g %.4g', $z, $x);
    }

    public function feed(float $z, float $x): void
    {
        $this->made[] = sprintf('f %.4g %.4g', $z, $x);
    }

    public function thread(float $z, float $x, float $lead): void
    {
        $this->made[] = sprintf('t %.4g %.4g F%.4g', $z, $x, $lead);
    }

    public function follow(Stretch $stretch): void
    {
        $this->feed($stretch->z, $stretch->x);
    }
}

/** @param  array<string, mixed>  $of  what of a call differs from one in two blocks without words */
function turningCall(array $of = []): TurningCall
{
    $of += ['z' => 3.0, 'x' => 20.0, 'toZ' => null, 'toX' => null, 'words' => [], 'first' => [], 'bare' => '', 'unit' => 1.0, 'increment' => 0.001];

    return new TurningCall(...$of + ['options' => new TurningOptions]);
}

function columnsMade(float ...$of): array
{
    $written = new WrittenStrokes;
    (new Columns(...$of))->strokes(
        static fn (float $across, float $depth) => $written->rapid($across, $depth), static fn (float $across, float $depth) => $written->feed($across, $depth),
    );

    return $written->made;
}

it('pecks columns beside one another', function (array $of, array $made): void {
    expect(columnsMade(...$of))->toBe($made);
})->with([
    // across, to across, step, from, to, peck, back, relief
    'one stroke' => [[5, 5, 0, 2, -8, 0, 0, 0], ['r 5 2', 'f 5 -8', 'r 5 2', 'r 5 2']],
    'pecks, and what is left of them' => [[5, 5, 0, 2, -8, 4, 0.5, 0], [
        'r 5 2', 'f 5 -2', 'r 5 -1.5', 'f 5 -6', 'r 5 -5.5', 'f 5 -8', 'r 5 2', 'r 5 2',
    ]],
    'pecks that come out even' => [[5, 5, 0, 2, -8, 5, 1, 0], ['r 5 2', 'f 5 -3', 'r 5 -2', 'f 5 -8', 'r 5 2', 'r 5 2']],
    'pecks without drawing back' => [[5, 5, 0, 2, -8, 5, 0, 0], ['r 5 2', 'f 5 -3', 'f 5 -8', 'r 5 2', 'r 5 2']],
    'columns towards minus, the last what is left' => [[0, -5, 2, 10, 8, 0, 0, 0], [
        'r 0 10', 'f 0 8', 'r 0 10', 'r -2 10', 'f -2 8', 'r -2 10', 'r -4 10', 'f -4 8', 'r -4 10', 'r -5 10', 'f -5 8', 'r -5 10', 'r 0 10',
    ]],
    'columns towards plus, stepping aside, back to the first' => [[0, 4, 2, 8, 10, 0, 0, 0.3], [
        'r 0 8', 'f 0 10', 'r 0 8', 'r 2 8', 'f 2 10', 'r 1.7 10', 'r 1.7 8', 'r 2 8', 'r 4 8', 'f 4 10', 'r 3.7 10', 'r 3.7 8', 'r 4 8', 'r 0 8',
    ]],
]);

it('makes no more strokes than ten thousand', function (): void {
    expect(count(columnsMade(0, 100, 0.001, 5, 0, 0, 0, 0)))->toBe(3 * 5_000 + 1)
        ->and(count(array_filter(columnsMade(0, 0, 0, 5, 0, 0.0001, 0, 0), static fn (string $made): bool => $made[0] === 'f')))->toBe(10_001);
});

it('goes down, along a thread, out and back', function (array $stroke, array $pass, array $made): void {
    $written = new WrittenStrokes;
    [$fromZ, $z, $x] = $pass;
    (new ThreadStroke(...$stroke))->make($fromZ, $z, $x, $written);
    expect($written->made)->toBe($made);
})->with([
    // back Z and X, taper, pull-off, lead; from Z, Z, X
    'straight' => [[3, 20, 0, 0, 1.5], [2.5, -20, 18], ['r 2.5 18', 't -20 18 F1.5', 'r -20 20', 'r 3 20']],
    'led out at 45° outside' => [[3, 20, 0, 1.5, 1.5], [3, -20, 18], ['r 3 18', 't -18.5 18 F1.5', 't -20 19.5 F1.5', 'r -20 20', 'r 3 20']],
    'led out no farther than it came in' => [[3, 20, 0, 5, 1.5], [3, -20, 18], ['r 3 18', 't -18 18 F1.5', 't -20 20 F1.5', 'r -20 20', 'r 3 20']],
    'led out for half its way at the most' => [[0, 40, 0, 30, 2], [0, -10, 10], ['r 0 10', 't -5 10 F2', 't -10 15 F2', 'r -10 40', 'r 0 40']],
    'in a bore, away from the chuck' => [[-30, 8, 0, 1, 2], [-30, -5, 10], ['r -30 10', 't -6 10 F2', 't -5 9 F2', 'r -5 8', 'r -30 8']],
    'a cone is as thick as it would be where it leads out' => [[3, 20, -2, 2.3, 2], [3, -20, 15], [
        'r 3 13', 't -17.7 14.8 F2', 't -20 17.3 F2', 'r -20 20', 'r 3 20',
    ]],
]);

it('repeats a shape as often as is asked, nearer each time', function (array $of, array $made): void {
    $written = new WrittenStrokes;
    $shape = new Contour([
        new Stretch(3, 20, 0, 10, null, true, 1), new Stretch(0, 10, -15, 10, null, false, 2), new Stretch(-15, 10, -15, 18, null, false, 3),
    ]);
    (new RoughPattern)->strokes(turningCall($of + ['contour' => $shape]), $written);
    expect($written->made)->toBe($made);
})->with([
    'three passes' => [['first' => ['U' => 4.0, 'W' => 2.0, 'R' => 3.0], 'words' => ['U' => 0.4, 'W' => 0.1]], [
        'r 5.1 24.2', 'r 2.1 14.2', 'f -12.9 14.2', 'f -12.9 22.2', 'r 4.1 22.2', 'r 1.1 12.2', 'f -13.9 12.2', 'f -13.9 20.2',
        'r 3.1 20.2', 'r 0.1 10.2', 'f -14.9 10.2', 'f -14.9 18.2', 'r 3 20',
    ]],
    'one pass lies where the finish is left' => [['first' => ['U' => 4.0, 'W' => 2.0, 'R' => 1.0], 'words' => []], [
        'r 3 20', 'r 0 10', 'f -15 10', 'f -15 18', 'r 3 20',
    ]],
    'in one block' => [['options' => new TurningOptions(cycleForm: CycleForm::OneLine), 'words' => ['I' => 2.0, 'K' => 1.0, 'D' => 2.0, 'U' => 1.0]], [
        'r 4 22.5', 'r 1 12.5', 'f -14 12.5', 'f -14 20.5', 'r 3 20.5', 'r 0 10.5', 'f -15 10.5', 'f -15 18.5', 'r 3 20',
    ]],
]);

it('goes round a shape no more than a thousand times', function (): void {
    $written = new WrittenStrokes;
    $shape = new Contour([new Stretch(3, 20, 0, 10, null, true, 1), new Stretch(0, 10, -15, 10, null, false, 2)]);
    (new RoughPattern)->strokes(turningCall(['first' => ['R' => 5000.0], 'contour' => $shape]), $written);
    expect($written->made)->toHaveCount(3 * 1000 + 1)->and((new RoughPattern)->missing(turningCall(['first' => ['R' => 0.9]])))->toBe(['R'])
        ->and((new RoughPattern)->missing(turningCall(['first' => ['R' => 1.0]])))->toBe([]);
});

it('cuts a thread pass by pass', function (array $of, array $made): void {
    $written = new WrittenStrokes;
    (new ThreadSeries)->strokes(turningCall($of + ['toX' => 18.0, 'toZ' => -20.0, 'lead' => 2.0]), $written);
    expect(array_values(array_filter($written->made, static fn (string $one): bool => $one !== 'r -20 20' && $one !== 'r 3 20')))->toBe($made);
})->with([
    // Half the area, all of it, and once more at full depth; a flank of 60° moves by the depth that is left × tan 30°.
    'along the flank' => [['words' => ['P' => 1.0, 'Q' => 0.7071067811865476], 'first' => ['P' => 10060.0]], [
        'r 2.592 18.29', 't -20 18.29 F2', 'r 2.423 18', 't -20 18 F2', 'r 2.423 18', 't -20 18 F2',
    ]],
    'straight in, led out over half a lead' => [['words' => ['P' => 1.0, 'Q' => 1.0], 'first' => ['P' => 10500.0]], [
        'r 3 18', 't -19 18 F2', 't -20 19 F2', 'r 3 18', 't -19 18 F2', 't -20 19 F2',
    ]],
    'counted to the start' => [[
        'words' => ['P' => 1.0, 'Q' => 0.7071067811865476], 'first' => ['P' => 10060.0], 'options' => new TurningOptions(threadShift: ThreadShift::ToStart),
    ], ['r 3.169 18.29', 't -20 18.29 F2', 'r 3 18', 't -20 18 F2', 'r 3 18', 't -20 18 F2']],
    'every second pass along the other flank' => [[
        'words' => ['P' => 1.0, 'Q' => 0.5], 'first' => ['P' => 10060.0], 'options' => new TurningOptions(threadDepths: ThreadDepths::Zigzag),
    ], [
        'r 2.711 18.5', 't -20 18.5 F2', 'r 2.254 18.29', 't -20 18.29 F2', 'r 2.5 18.13', 't -20 18.13 F2', 'r 2.423 18', 't -20 18 F2',
        'r 2.423 18', 't -20 18 F2',
    ]],
    'in a bore, towards the chuck' => [['words' => ['P' => 1.0, 'Q' => 1.0], 'first' => ['P' => 10000.0], 'x' => 16.0], [
        'r 3 18', 't -20 18 F2', 'r -20 16', 'r 3 16', 'r 3 18', 't -20 18 F2', 'r -20 16', 'r 3 16',
    ]],
    'in one block' => [['words' => ['K' => 1.0, 'D' => 0.5, 'A' => 60.0], 'options' => new TurningOptions(cycleForm: CycleForm::OneLine, threadPullOff: 0.0)], [
        'r 2.711 18.5', 't -20 18.5 F2', 'r 2.592 18.29', 't -20 18.29 F2', 'r 2.5 18.13', 't -20 18.13 F2', 'r 2.423 18', 't -20 18 F2',
    ]],
]);

it('divides a thread as its control does', function (array $of, array $depths): void {
    expect(ThreadSeries::depths(...$of))->toEqualWithDelta($depths, 1e-9);
})->with([
    'as deep each time, the last what is left' => [[1.0, 0.4, 0.0, 0.0, ThreadDepths::Constant], [0.4, 0.8, 1.0]],
    'by how many there are' => [[1.0, 4.0, 0.0, 0.2, ThreadDepths::Count], [0.4, 0.8 * sqrt(0.5), 0.8 * sqrt(0.75), 0.8]],
    'by less than one' => [[1.0, 0.0, 0.0, 0.0, ThreadDepths::Count], [1.0]],
    'one of all of it' => [[1.0, 1.0, 0.0, 0.0], [1.0]],
    'all of it is finish' => [[0.3, 0.1, 0.0, 0.3], []],
]);

/** Z and X of each place of a pocket, and of the wall it is come to by. */
function pocketPlaces(Pocket ...$pockets): array
{
    return array_map(static fn (Pocket $pocket): array => [$pocket->rim(), $pocket->end(), $pocket->way], $pockets);
}

function lines(array ...$places): Contour
{
    $stretches = [];
    foreach ($places as $n => [$z, $x]) {
        [$fromZ, $fromX] = $places[$n - 1] ?? [5.0, 30.0];
        $stretches[] = new Stretch($fromZ, $fromX, $z, $x, null, $n === 0, $n + 1);
    }

    return new Contour($stretches);
}

it('finds the pockets of a shape', function (Contour $shape, int $side, array $places): void {
    expect(pocketPlaces(...Pocket::in($shape, $side)))->toEqualWithDelta($places, 1e-9);
})->with([
    'none where it rises' => [lines([0, 10], [-10, 10], [-10, 15], [-20, 20]), -1, []],
    'one, up to where it is as high again' => [lines([0, 10], [-5, 10], [-8, 7], [-12, 7], [-20, 15]), -1, [
        [[-5.0, 10.0], [-15.0, 10.0], [[-5.0, 10.0]]],
    ]],
    'one that stays open' => [lines([0, 10], [-5, 10], [-8, 7], [-12, 7]), -1, [[[-5.0, 10.0], [-12.0, 7.0], [[-5.0, 10.0]]]]],
    'two' => [lines([0, 10], [-2, 8], [-4, 12], [-6, 9], [-9, 12]), -1, [
        [[0.0, 10.0], [-3.0, 10.0], [[0.0, 10.0]]], [[-4.0, 12.0], [-9.0, 12.0], [[-4.0, 12.0]]],
    ]],
    'in a bore it is the other way round' => [lines([0, 10], [-5, 10], [-8, 13], [-11, 10]), 1, [[[-5.0, 10.0], [-11.0, 10.0], [[-5.0, 10.0]]]]],
]);

it('divides a pocket where a ridge stands between two', function (float $level, array $places): void {
    $pocket = Pocket::in(lines([0, 10], [-4, 2], [-8, 6], [-12, 2], [-16, 10]), -1)[0];
    expect(pocketPlaces(...$pocket->below($level, -1)))->toEqualWithDelta($places, 1e-9);
})->with([
    'above the ridge' => [8.0, [[[-1.0, 8.0], [-15.0, 8.0], [[0.0, 10.0], [-1.0, 8.0]]]]],
    'below it' => [4.0, [
        [[-3.0, 4.0], [-6.0, 4.0], [[0.0, 10.0], [-3.0, 4.0]]], [[-10.0, 4.0], [-13.0, 4.0], [[-8.0, 6.0], [-10.0, 4.0]]],
    ]],
    'below its floor' => [1.0, []],
]);

it('says of an arc where it comes by', function (array $arc, float $x, array $zs): void {
    // 5 about (−10, 10), from an angle of +Z towards +X.
    [$from, $sweep] = $arc;
    $at = static fn (float $angle): array => [-10 + 5 * cos(deg2rad($angle)), 10 + 5 * sin(deg2rad($angle))];
    $stretch = new Stretch(...$at($from), ...$at($from + $sweep), arc: new Arc(-10.0, 10.0, $sweep), isRapid: false, line: 1);
    expect($stretch->crossings($x))->toEqualWithDelta($zs, 1e-6);
})->with([
    'a quarter on the right' => [[0.0, 90.0], 13.0, [-6.0]],
    'a quarter on the left' => [[90.0, 90.0], 13.0, [-14.0]],
    'the same the other way' => [[180.0, -90.0], 13.0, [-14.0]],
    'below its middle' => [[-90.0, 90.0], 7.0, [-6.0]],
    'over plus Z' => [[-60.0, 120.0], 7.0, [-6.0]],
    'over minus Z, the other way' => [[240.0, -120.0], 7.0, [-14.0]],
    'short of it' => [[0.0, 36.0], 13.0, []],
    'just as far' => [[0.0, rad2deg(asin(0.6))], 13.0, [-6.0]],
    'more than half' => [[100.0, 250.0], 13.0, [-14.0]],
]);

/** Outside: a neck of 10, a shoulder, a body of 16, out at 20; in a bore the same from inside: 16, a shoulder, 10, in to 6. */
function steppedShape(bool $isBore = false, bool $isRapid = true): Contour
{
    $x = static fn (float $outside): float => $isBore ? 26 - $outside : $outside;

    return new Contour([
        new Stretch(2, $x(20), 0, $x(10), null, $isRapid, 1), new Stretch(0, $x(10), -10, $x(10), null, false, 2),
        new Stretch(-10, $x(10), -10, $x(16), null, false, 3), new Stretch(-10, $x(16), -20, $x(16), null, false, 4),
        new Stretch(-20, $x(16), -20, $x(20), null, false, 5),
    ]);
}

// Words in units of ten millimetres, so that one that is not converted is seen.
const ROUGHED = ['z' => 2.0, 'x' => 20.0, 'unit' => 10.0, 'first' => ['U' => 0.3, 'R' => 0.1], 'words' => ['U' => 0.1, 'W' => 0.02]];

it('roughs along and across pass by pass', function (string $cycle, array $of, array $made): void {
    $written = new WrittenStrokes;
    (new $cycle)->strokes(turningCall($of + ROUGHED + ['contour' => steppedShape()]), $written);
    expect($written->made)->toBe($made);
})->with([
    'along' => [RoughAlong::class, [], [
        'r 2.2 20.5', 'r 2.2 17.5', 'f -19.8 17.5', 'r -18.8 18.5', 'r 2.2 18.5', 'r 2.2 14.5', 'f -9.8 14.5', 'r -8.8 15.5', 'r 2.2 15.5',
        'r 2.2 11.5', 'f -9.8 11.5', 'r -8.8 12.5', 'r 2.2 12.5', 'r 0.2 10.5', 'f -9.8 10.5', 'f -9.8 16.5', 'f -19.8 16.5', 'f -19.8 20.5', 'r 2 20',
    ]],
    'straight off the wall, and not along the shape' => [
        RoughAlong::class, ['options' => new TurningOptions(roughRetract: RoughRetract::SquareToIt, roughLast: false)], [
            'r 2.2 20.5', 'r 2.2 17.5', 'f -19.8 17.5', 'r -19.8 18.5', 'r 2.2 18.5', 'r 2.2 14.5', 'f -9.8 14.5', 'r -9.8 15.5', 'r 2.2 15.5',
            'r 2.2 11.5', 'f -9.8 11.5', 'r -9.8 12.5', 'r 2.2 12.5', 'r 2 20',
        ],
    ],
    'at feed, in one block, by half a millimetre off' => [
        RoughAlong::class, [
            'contour' => steppedShape(isRapid: false), 'options' => new TurningOptions(cycleForm: CycleForm::OneLine), 'first' => [],
            'words' => ['D' => 0.5, 'U' => 0.0],
        ], [
            'r 2 20', 'f 2 15', 'f -10 15', 'r -9.5 15.5', 'r 2 15.5', 'f 0 10', 'f -10 10', 'f -10 16', 'f -20 16', 'f -20 20', 'r 2 20',
        ],
    ],
    'up in a bore' => [RoughAlong::class, ['x' => 6.0, 'contour' => steppedShape(true), 'words' => ['U' => -0.1, 'W' => 0.02]], [
        'r 2.2 5.5', 'r 2.2 8.5', 'f -19.8 8.5', 'r -18.8 7.5', 'r 2.2 7.5', 'r 2.2 11.5', 'f -9.8 11.5', 'r -8.8 10.5', 'r 2.2 10.5',
        'r 2.2 14.5', 'f -9.8 14.5', 'r -8.8 13.5', 'r 2.2 13.5', 'r 0.2 15.5', 'f -9.8 15.5', 'f -9.8 9.5', 'f -19.8 9.5', 'f -19.8 5.5', 'r 2 6',
    ]],
    'across' => [RoughAcross::class, ['first' => ['W' => 0.8, 'R' => 0.1], 'contour' => new Contour([
        new Stretch(2, 20, -20, 20, null, true, 1), new Stretch(-20, 20, -20, 16, null, false, 2), new Stretch(-20, 16, -10, 16, null, false, 3),
        new Stretch(-10, 16, -10, 10, null, false, 4), new Stretch(-10, 10, 2, 10, null, false, 5),
    ])], [
        'r 2.2 20.5', 'r -5.8 20.5', 'f -5.8 10.5', 'r -4.8 11.5', 'r -4.8 20.5', 'r -13.8 20.5', 'f -13.8 16.5', 'r -12.8 17.5', 'r -12.8 20.5',
        'r -19.8 20.5', 'f -19.8 16.5', 'f -9.8 16.5', 'f -9.8 10.5', 'f 2.2 10.5', 'r 2 20',
    ]],
    'down into a pocket' => [RoughAlong::class, [
        'options' => new TurningOptions(roughKind: RoughKind::Pockets), 'words' => [], 'contour' => new Contour([
            new Stretch(2, 20, 0, 16, null, true, 1), new Stretch(0, 16, -10, 16, null, false, 2), new Stretch(-10, 16, -14, 12, null, false, 3),
            new Stretch(-14, 12, -18, 12, null, false, 4), new Stretch(-18, 12, -18, 20, null, false, 5),
        ]),
    ], [
        'r 2 20', 'r 2 17', 'f -18 17', 'r -17 18', 'r 2 18', 'r 2 20', 'r -10 20', 'r -10 18', 'r -10 18', 'f -10 16', 'f -12 14', 'f -18 14', 'r -17 15',
        'r -12 15', 'r -12 18', 'r -10 20', 'r 2 20', 'r 0 16', 'f -10 16', 'f -14 12', 'f -18 12', 'f -18 20', 'r 2 20',
    ]],
]);

it('makes a single pass, a thread and grooves by their words', function (string $cycle, array $of, array $made): void {
    $written = new WrittenStrokes;
    (new $cycle)->strokes(turningCall($of + ['unit' => 10.0]), $written);
    expect($written->made)->toBe($made);
})->with([
    'along, a cone' => [TurnAlong::class, ['toX' => 15.0, 'toZ' => -10.0, 'words' => ['R' => -0.2]], ['r 3 13', 'f -10 15', 'f -10 20', 'r 3 20']],
    'along in one block' => [
        TurnAlong::class, ['toX' => 15.0, 'toZ' => -10.0, 'words' => ['I' => 0.1], 'options' => new TurningOptions(cycleForm: CycleForm::OneLine)],
        ['r 3 16', 'f -10 15', 'f -10 20', 'r 3 20'],
    ],
    'across, a cone' => [TurnAcross::class, ['toX' => 15.0, 'toZ' => -10.0, 'words' => ['R' => 0.2]], ['r -8 20', 'f -10 15', 'f 3 15', 'r 3 20']],
    'a thread that leads out' => [
        ThreadPass::class, ['toX' => 18.0, 'toZ' => -10.0, 'words' => ['R' => -0.1], 'lead' => 2.0, 'options' => new TurningOptions(threadPullOff: 0.5)],
        ['r 3 17', 't -9 17.92 F2', 't -10 19 F2', 'r -10 20', 'r 3 20'],
    ],
    'a drill' => [PeckAlong::class, ['x' => 0.0, 'toZ' => -7.0, 'words' => ['Q' => 0.6], 'first' => ['R' => 0.1]], [
        'r 3 0', 'f -3 0', 'r -2 0', 'f -7 0', 'r 3 0', 'r 3 0',
    ]],
    'grooves in a face' => [PeckAlong::class, ['x' => 10.0, 'toX' => 6.0, 'toZ' => -1.0, 'words' => ['P' => 0.4, 'R' => 0.05]], [
        'r 3 10', 'f -1 10', 'r 3 10', 'r 3 6', 'f -1 6', 'r -1 6.5', 'r 3 6.5', 'r 3 6', 'r 3 10',
    ]],
    'grooves' => [PeckAcross::class, ['toX' => 16.0, 'toZ' => -1.0, 'words' => ['P' => 0.3, 'Q' => 0.4], 'first' => ['R' => 0.1]], [
        'r 3 20', 'f 3 17', 'r 3 18', 'f 3 16', 'r 3 20', 'r -1 20', 'f -1 17', 'r -1 18', 'f -1 16', 'r -1 20', 'r 3 20',
    ]],
    'grooves in one block' => [
        PeckAcross::class, ['toX' => 16.0, 'toZ' => 3.0, 'words' => ['I' => 0.3, 'K' => 0.4], 'options' => new TurningOptions(cycleForm: CycleForm::OneLine)],
        ['r 3 20', 'f 3 17', 'f 3 16', 'r 3 20', 'r 3 20'],
    ],
]);

it('says which of its words a cycle lacks', function (string $cycle, array $of, array $lacks): void {
    expect((new $cycle)->missing(turningCall($of)))->toBe($lacks);
})->with([
    [RoughAlong::class, [], ['U']], [RoughAlong::class, ['first' => ['U' => 0.001]], []], [RoughAlong::class, ['first' => ['U' => -0.5]], []],
    [RoughAlong::class, ['options' => new TurningOptions(cycleForm: CycleForm::OneLine)], ['D']],
    [RoughAcross::class, [], ['W']], [RoughAcross::class, ['first' => ['W' => 0.5]], []],
    [RoughAcross::class, ['options' => new TurningOptions(cycleForm: CycleForm::OneLine)], ['D']],
    [RoughPattern::class, ['options' => new TurningOptions(cycleForm: CycleForm::OneLine)], ['D']],
    [PeckAcross::class, [], ['X']], [PeckAcross::class, ['toX' => 5.0], []], [PeckAlong::class, [], ['Z']], [PeckAlong::class, ['toZ' => 5.0], []],
    [TurnAlong::class, [], ['X', 'Z']], [TurnAlong::class, ['toX' => 5.0], ['Z']],
    [TurnAcross::class, [], ['X', 'Z']], [TurnAcross::class, ['toZ' => 5.0], ['X']],
    [ThreadPass::class, [], ['X', 'Z', 'F']], [ThreadPass::class, ['toX' => 1.0, 'toZ' => 1.0, 'lead' => 0.5], []],
    [ThreadSeries::class, [], ['X', 'Z', 'P', 'Q', 'F']],
    [ThreadSeries::class, ['toX' => 1.0, 'toZ' => 1.0, 'lead' => 0.5, 'words' => ['P' => 0.5, 'Q' => 0.2]], []],
    [ThreadSeries::class, ['toX' => 1.0, 'toZ' => 1.0, 'lead' => 0.5, 'words' => ['P' => 0.0, 'Q' => 0.0]], ['P', 'Q']],
]);

it('says which words a hole cycle cannot be without', function (string $cycle, array $needs): void {
    expect((new $cycle)->needs())->toBe($needs);
})->with([
    [PeckDrill::class, ['Q']], [ChipBreakDrill::class, ['Q']], [DrillDwell::class, ['P']], [BoreDwell::class, ['P']], [Drill::class, []], [Tap::class, []],
]);
