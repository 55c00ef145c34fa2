<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Shift;
use OakTrace\Core\Setup\CuttingLimits;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolGeometry;
use OakTrace\Core\Setup\ToolHolding;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Stock\Body;
use OakTrace\Core\Stock\Cut;
use OakTrace\Core\Stock\Cutter;
use OakTrace\Core\Stock\Engagement;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Stock\Incidents;
use OakTrace\Core\Stock\Move;
use OakTrace\Core\Trace\MotionKind;

// A block of 40 × 40 × 10 with its top at 0, in cells of 0.25, and what moves of a cutter of Ø8 do to it and find in it (geometry).

const BODY_CELL = 0.25;

function solidBlock(): Body
{
    $stock = Stock::box('G54', Box::of([-20.0, -20.0, -10.0], [20.0, 20.0, 0.0]), []);

    return new Body(0, $stock->blank->seen(BODY_CELL), $stock->blank, null, Shift::none());
}

function eightMill(ToolKind $kind = ToolKind::EndMill, ?float $flute = null, array $holding = [], ?CuttingLimits $limits = null): Tool
{
    $holding = new ToolHolding(stickout: $holding[0] ?? null, holder: isset($holding[1]) ? [['diameter' => $holding[1], 'length' => 30.0]] : []);

    return new Tool(1, '', $kind, new ToolGeometry(8.0, pointAngle: 118.0, fluteLength: $flute), $holding, $limits ?? new CuttingLimits);
}

function goingFrom(array $from, array $to, int $kind = MotionKind::FEED, ?Tool $tool = null): Move
{
    $tool ??= eightMill();
    [$from, $to] = [array_map(floatval(...), $from), array_map(floatval(...), $to)];
    $length = sqrt(($to[0] - $from[0]) ** 2 + ($to[1] - $from[1]) ** 2 + ($to[2] - $from[2]) ** 2);

    return new Move(1, 1, $tool, Cutter::of($tool) ?? Cutter::flat(4.0), $kind, false, PartPoint::of($from), PartPoint::of($to), $length);
}

/** With a pocket of 16 × 16 in its middle, 3 deep. */
function blockWithPocket(): Body
{
    $body = solidBlock();
    foreach ([-4, 0, 4] as $y) {
        $body->cut(goingFrom([-4, $y, -3], [4, $y, -3]), new Incidents);
    }

    return $body;
}

/** @return array<string, float> what a move is told for, and by how much */
function incidentsOf(Body $body, Move $move): array
{
    $body->cut($move, $incidents = new Incidents);
    $told = [];
    foreach (Incident::cases() as $incident) {
        foreach (array_merge(...$incidents->of($incident)) as $cut) {
            /** @var Cut $cut */
            $told[$incident->value] = $cut->by;
        }
    }

    return $told;
}

it('says what a move takes', function (array $from, array $to, array $wanted): void {
    $found = solidBlock()->cut(goingFrom($from, $to), new Incidents);
    expect($found['depth'])->toEqualWithDelta($wanted['depth'], 1e-9)->and($found['width'])->toEqualWithDelta($wanted['width'], BODY_CELL)
        ->and($found['angle'])->toEqualWithDelta($wanted['angle'], 5.0)->and($found['volume'])->toEqualWithDelta($wanted['volume'], 0.02 * $wanted['volume'])
        ->and($found['area'])->toEqualWithDelta($wanted['area'] ?? $found['area'], 0.05 * $found['area'])
        ->and($found['air'])->toEqualWithDelta($wanted['air'], 4)
        ->and($found['marks'] & Engagement::CENTRE)->toBe($wanted['center'] ?? 0);
})->with([
    'a slot from side to side' => [
        [-26, 0, -2], [26, 0, -2], ['depth' => 2.0, 'width' => 8.0, 'angle' => 180.0, 'volume' => 640.0, 'area' => 16.0, 'air' => 16],
    ],
    // 3 wide of 8: cos 75.52° = 1 − 3 / 4.
    'along a side' => [[-26, 21, -2], [26, 21, -2], ['depth' => 2.0, 'width' => 3.0, 'angle' => 75.5, 'volume' => 240.0, 'area' => 6.0, 'air' => 17]],
    'half of it in air' => [[-40, 0, -1], [0, 0, -1], ['depth' => 1.0, 'width' => 8.0, 'angle' => 180.0, 'volume' => 185.1, 'area' => 8.0, 'air' => 40]],
    'down aslant' => [
        [-10, 0, 0], [10, 0, -2], ['depth' => 2.0, 'width' => 8.0, 'angle' => 180.0, 'volume' => 260.5, 'air' => 0, 'center' => Engagement::CENTRE],
    ],
    'over it' => [[-26, 0, 1], [26, 0, 1], ['depth' => 0.0, 'width' => 0.0, 'angle' => 0.0, 'volume' => 0.0, 'area' => 0.0, 'air' => 100]],
]);

it('knows what a tool takes that is narrower than a cell', function (float $fromX, float $z, float $width, int $air): void {
    $tool = new Tool(1, '', ToolKind::EndMill, new ToolGeometry(0.4), new ToolHolding, new CuttingLimits);
    $found = solidBlock()->cut(goingFrom([$fromX, 0, $z], [10, 0, $z], tool: $tool), new Incidents);
    expect($found['width'])->toEqualWithDelta($width, 0.01)->and($found['angle'])->toBe($width > 0.0 ? 180.0 : 0.0)->and($found['air'])->toBe($air);
})->with([
    'in it' => [-10, -0.5, 0.4, 0], 'too short to tell' => [9.9, -0.5, 0.0, 0],
    'a quarter of it before' => [-30, -0.5, 0.4, 24], 'on it' => [-10, 0.0, 0.0, 100],
]);

it('says how far a move stays above what stands there', function (array $from, array $to, bool $atEnd, float $wanted): void {
    expect(blockWithPocket()->clearanceOf(goingFrom($from, $to, MotionKind::RAPID), $atEnd))->toEqualWithDelta($wanted, 1e-9);
})->with([
    'across' => [[-15, 0, 1], [15, 0, 1], false, 1.0],
    'falling' => [[-15, 15, 3], [15, 15, 1], false, 1.0],
    'rising' => [[-15, 15, 0.5], [15, 15, 3], false, 0.5],
    'within the pocket' => [[-3, 0, -1], [3, 0, -1], false, 2.0],
    'with its rim over the wall' => [[-3, 0, -1], [4.6, 0, -1], false, -1.0],
    'to an end in the pocket' => [[-15, 0, 1], [0, 0, -2], true, 1.0],
    'beside it' => [[-30, 30, -5], [30, 30, -5], false, INF],
]);

it('says how deep a tool that cuts nothing runs into it', function (array $from, array $to, float $wanted): void {
    expect(blockWithPocket()->struckBy(goingFrom($from, $to)))->toEqualWithDelta($wanted, 1e-9);
})->with([
    'into its side' => [[-30, 0, -2], [-10, 0, -2], 2.0],
    'down onto its top' => [[15, 15, 5], [15, 15, -1], 1.0],
    'down into the pocket' => [[0, 0, 5], [0, 0, -2.5], 0.0],
    'across the pocket into its wall' => [[0, 0, -2.5], [10, 0, -2.5], 2.5],
    'from where it stands at a wall' => [[5.5, 0, -2.5], [0, 0, -2.5], 0.0],
    'a hundredth of it' => [[-15, 15, -0.01], [15, 15, -0.01], 0.0],
]);

it('says how deep a tool stands in it, and whether any of it was above a tool', function (array $at, float $deep, bool $stood): void {
    $body = blockWithPocket();
    expect($body->depthAt(goingFrom($at, $at)))->toBe($deep)
        ->and($body->stoodAbove(PartPoint::of(array_map(floatval(...), $at)), 4.0))->toBe($stood);
})->with([
    'in the pocket' => [[0, 0, -2], -1.0, true],
    'held by the wall of the pocket' => [[4, 0, -2], 2.0, true],
    'in the full' => [[15, 15, -2], 2.0, true],
    'beside it, reaching over' => [[22, 0, -2], 2.0, true],
    'over it' => [[0, 0, 1], -4.0, false],
    'far beside it' => [[30, 0, -2], -INF, false],
]);

it('tells what is worth telling of a move', function (Move $move, array $wanted): void {
    $told = incidentsOf(blockWithPocket(), $move);
    expect(array_keys($told))->toBe(array_keys($wanted))->and(array_values($told))->toEqualWithDelta(array_values($wanted), BODY_CELL);
})->with([
    'a rapid through the full' => [goingFrom([-30, 15, -2], [30, 15, -2], MotionKind::RAPID), ['rapid cuts' => 2.0]],
    'a rapid through the pocket' => [goingFrom([-3, 0, -2.5], [3, 0, -2.5], MotionKind::RAPID), []],
    'a rapid down into the pocket' => [goingFrom([0, 0, 5], [0, 0, -2.9], MotionKind::RAPID), []],
    'a rapid down through its floor' => [goingFrom([0, 0, 5], [0, 0, -4], MotionKind::RAPID), ['rapid cuts' => 1.0]],
    'a rapid that scrapes the wall of the pocket' => [goingFrom([0, -3, -2.5], [6, -3, -2.5], MotionKind::RAPID), ['rapid cuts' => 2.5]],
    'a rapid by a tenth into a side' => [goingFrom([-30, -23.9, -5], [30, -23.9, -5], MotionKind::RAPID), ['rapid cuts' => 5.0]],
    'a rapid as deep as one may graze' => [goingFrom([-30, 15, -0.02], [30, 15, -0.02], MotionKind::RAPID), []],
    'a rapid a little deeper' => [goingFrom([-30, 15, -0.03], [30, 15, -0.03], MotionKind::RAPID), ['rapid cuts' => 0.03]],
    'deeper than it may' => [
        goingFrom([-30, 15, -2], [30, 15, -2], tool: eightMill(limits: new CuttingLimits(maxAxialDepth: 1.5))), ['deep' => 2.0, 'slot' => 2.0],
    ],
    'as deep as it may' => [goingFrom([-30, 22, -2], [30, 22, -2], tool: eightMill(limits: new CuttingLimits(maxAxialDepth: 2.0))), []],
    'deeper than it may, but light' => [goingFrom([-30, 22.8, -2], [30, 22.8, -2], tool: eightMill(limits: new CuttingLimits(maxAxialDepth: 1.5))), []],
    'wider than it may' => [goingFrom([-30, 20, -1], [30, 20, -1], tool: eightMill(limits: new CuttingLimits(maxRadialWidth: 2.0))), ['wide' => 4.0]],
    'a short slot' => [goingFrom([-24, 0, -1], [-17, 0, -1]), []],
    'a reamer along' => [goingFrom([-30, 22, -1], [30, 22, -1], tool: eightMill(ToolKind::Reamer)), ['sideways' => 1.0]],
    'over its flutes' => [goingFrom([-30, 22, -6], [30, 22, -6], tool: eightMill(flute: 5.0)), ['shank' => 1.0]],
    'as deep as its flutes' => [goingFrom([-30, 22, -5], [30, 22, -5], tool: eightMill(flute: 5.0)), []],
    'its holder beside the wall of the pocket' => [goingFrom([-3, 0, -3], [3, 0, -3], tool: eightMill(holding: [2.0, 16.0])), ['holder' => 1.0]],
    'its holder above it' => [goingFrom([-3, 0, -3], [3, 0, -3], tool: eightMill(holding: [3.1, 16.0])), []],
    'its holder within the pocket' => [goingFrom([-3, 0, -3], [3, 0, -3], tool: eightMill(holding: [2.0, 9.0])), []],
]);
