<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Shift;
use OakTrace\Core\Geometry\Turn;
use OakTrace\Core\Setup\CuttingLimits;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolGeometry;
use OakTrace\Core\Setup\ToolHolding;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Stock\Body;
use OakTrace\Core\Stock\Cutter;
use OakTrace\Core\Stock\Incidents;
use OakTrace\Core\Stock\Move;
use OakTrace\Core\Stock\Sides;
use OakTrace\Core\Trace\MotionKind;

// A block of 40 × 20 × 20 about the axis it is turned about, in cells of 0.5.

function sideOf(string $axis, float $angle): Body
{
    $box = $axis === 'A' ? Box::of([-20.0, -10.0, -10.0], [20.0, 10.0, 10.0]) : Box::of([-10.0, -20.0, -10.0], [10.0, 20.0, 10.0]);
    $stock = Stock::box('G54', $box, []);
    $turn = $angle === 0.0 ? null : new Turn($axis, $angle, PartPoint::zero());

    return new Body(0, $stock->blank->seen(0.5, $turn) ?? throw new LogicException, $stock->blank, $turn, Shift::none());
}

/**
 * @param  array{float, float, float}  $from
 * @param  array{float, float, float}  $to
 * @param  array{flute?: float, stickout?: float}  $tool
 */
function alongSide(array $from, array $to, int $kind = MotionKind::FEED, array $tool = []): Move
{
    $mill = new Tool(
        1, '', ToolKind::EndMill, new ToolGeometry(8.0, fluteLength: $tool['flute'] ?? null), new ToolHolding(stickout: $tool['stickout'] ?? null),
        new CuttingLimits,
    );
    $length = sqrt(($to[0] - $from[0]) ** 2 + ($to[1] - $from[1]) ** 2 + ($to[2] - $from[2]) ** 2);

    return new Move(1, 1, $mill, Cutter::flat(4.0), $kind, false, PartPoint::of($from), PartPoint::of($to), $length);
}

/** How high a column stands, by going down it in hundredths as long as another side has been cut there. */
function leftByOther(Body $side, Body $other, float $x, float $y, float $stands): float
{
    for ($z = $stands - 0.001; $z > $side->field->bottom; $z -= 0.01) {
        $lying = $side->turn?->undo(new PartPoint($x, $y, $z)) ?? new PartPoint($x, $y, $z);
        $seen = $other->turn?->apply($lying) ?? $lying;
        if ($other->field->at($seen->x, $seen->y) >= $seen->z) {
            return $z;
        }
    }

    return $side->field->bottom;
}

it('learns around a move what another side has lost, and nothing beyond it', function (
    string $axis, float $first, float $second, array $from, array $to,
): void {
    [$side, $other] = [sideOf($axis, $second), sideOf($axis, $first)];
    $other->cut(alongSide($from, $to), new Incidents);
    $stood = $side->field->heights;
    [$reach, $low] = [3.0, -2.0];
    $x = 4.0;
    $move = alongSide([-$x, -3.0, 8.0], [$x, 5.0, $low]);
    Sides::learnFromAll($side, [$other], $move, $reach);
    $lowered = 0;
    foreach ($side->field->heights as $cell => $height) {
        [$atX, $atY] = $side->field->place($cell);
        $isNear = $atX > -$x - $reach && $atX < $x + $reach && $atY > -3.0 - $reach && $atY < 5.0 + $reach;
        $isBeside = $atX < -$x - $reach - 0.5 || $atX > $x + $reach + 0.5 || $atY < -3.5 - $reach || $atY > 5.5 + $reach;
        if ($isBeside) {
            expect($height)->toBe($stood[$cell]);
        } elseif ($isNear) {
            expect($height)->toEqualWithDelta($stood[$cell] <= $low ? $stood[$cell] : leftByOther($side, $other, $atX, $atY, $stood[$cell]), 0.06);
            $lowered += $height < $stood[$cell] - 0.5 ? 1 : 0;
        }
    }
    expect($lowered)->toBeGreaterThan(40);
})->with([
    'a quarter about X' => ['A', 0.0, 90.0, [-30.0, -7.0, 2.0], [30.0, -7.0, 2.0]],
    'a quarter back about X' => ['A', 90.0, 0.0, [-30.0, 7.0, 1.0], [3.0, 7.0, 1.0]],
    'three quarters about X' => ['A', 0.0, 270.0, [-30.0, 8.0, -3.0], [30.0, 5.0, 0.0]],
    'a half about X, cut through' => ['A', 0.0, 180.0, [-5.0, -20.0, -11.0], [-1.0, 3.0, -11.0]],
    'aslant about X' => ['A', 0.0, 40.0, [-30.0, -6.0, 1.0], [30.0, -6.0, 1.0]],
    'a quarter about Y' => ['B', 0.0, 90.0, [7.0, -30.0, 2.0], [7.0, 30.0, 2.0]],
    'aslant about Y' => ['B', 0.0, 300.0, [-7.0, -30.0, -1.0], [-5.0, 30.0, 1.0]],
]);

it('asks where something of it goes that is told: at rapid, straight down, and beside a tool whose edge ends below the top', function (
    array $move, bool $isAsked,
): void {
    [$side, $other] = [sideOf('A', 90.0), sideOf('A', 0.0)];
    $stands = $side->field->heights;
    Sides::learnFor($side, [$other], alongSide(...$move));
    expect($side->field->heights)->toBe($stands, 'nothing is lost yet');
    foreach ([-7.0, 7.0] as $y) {
        $other->cut(alongSide([-30.0, $y, 0.0], [30.0, $y, 0.0]), new Incidents);
    }
    Sides::learnFor($side, [$other], alongSide(...$move));
    expect($side->field->heights !== $stands)->toBe($isAsked);
})->with([
    'at rapid' => [[[-15.0, 6.0, 8.0], [15.0, 6.0, 8.0], MotionKind::RAPID], true],
    'at feed' => [[[-15.0, 6.0, 8.0], [15.0, 6.0, 8.0]], false],
    'straight down' => [[[0.0, 6.0, 12.0], [0.0, 6.0, 5.0]], true],
    'with a flute that ends below the top' => [[[-15.0, 6.0, 5.0], [15.0, 6.0, 5.0], MotionKind::FEED, ['flute' => 4.0]], true],
    'with a flute that comes above it' => [[[-15.0, 6.0, 5.0], [15.0, 6.0, 5.0], MotionKind::FEED, ['flute' => 5.5]], false],
    'with a holder below the top' => [[[-15.0, 6.0, 5.0], [15.0, 6.0, 5.0], MotionKind::FEED, ['flute' => 6.0, 'stickout' => 4.0]], true],
    'at its lowest' => [[[-15.0, 6.0, 9.0], [15.0, 6.0, 5.0], MotionKind::FEED, ['flute' => 4.5]], true],
]);

it('counts once what two sides have taken off', function (array $cuts, float $removed, float $within): void {
    $sides = [];
    foreach ($cuts as [$axis, $angle, $from, $to]) {
        $sides["{$axis}{$angle}"] ??= sideOf($axis, $angle);
        $sides["{$axis}{$angle}"]->cut(alongSide($from, $to), new Incidents);
    }
    expect(Sides::removed(array_values($sides)))->toEqualWithDelta($removed, $within);
})->with([
    // A slot of 8 wide and 6 deep all along; the same from the other side meets it nowhere.
    'one' => [[['A', 0.0, [-30.0, 0.0, 4.0], [30.0, 0.0, 4.0]]], 40 * 8 * 6.0, 8.0],
    'two that do not meet' => [[['A', 0.0, [-30.0, 0.0, 4.0], [30.0, 0.0, 4.0]], ['A', 180.0, [-30.0, 0.0, 4.0], [30.0, 0.0, 4.0]]], 2 * 1920.0, 16.0],
    // Two of 14 deep from opposite sides share 8 of their depth: together they are through.
    'two that meet' => [[['A', 0.0, [-30.0, 0.0, -4.0], [30.0, 0.0, -4.0]], ['A', 180.0, [-30.0, 0.0, -4.0], [30.0, 0.0, -4.0]]], 40 * 8 * 20.0, 40.0],
    // A step of 8 × 8 off an edge seen from both: once the same.
    'an edge, twice' => [[['A', 0.0, [-30.0, -6.0, 2.0], [30.0, -6.0, 2.0]], ['A', 90.0, [-30.0, 6.0, 2.0], [30.0, 6.0, 2.0]]], 40 * 8 * 8.0, 40.0],
    'two edges' => [[['A', 0.0, [-30.0, 6.0, 2.0], [30.0, 6.0, 2.0]], ['A', 90.0, [-30.0, 6.0, 2.0], [30.0, 6.0, 2.0]]], 2 * 40 * 8 * 8.0, 40.0],
    'nothing' => [[['A', 0.0, [-30.0, 0.0, 14.0], [30.0, 0.0, 14.0]]], 0.0, 0.0],
]);
