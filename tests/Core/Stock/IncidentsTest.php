<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolGeometry;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Stock\Bores;
use OakTrace\Core\Stock\Cut;
use OakTrace\Core\Stock\Cutter;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Stock\Incidents;
use OakTrace\Core\Stock\Move;
use OakTrace\Core\Trace\MotionKind;

/** A stroke at a place from 2 above the part down to a height. */
function stroked(int $row, Tool $tool, float $z, float $x = 5.0): Move
{
    [$from, $to] = [PartPoint::of([$x, 7, 2]), PartPoint::of([$x, 7, $z])];

    return new Move($row, $row, $tool, Cutter::of($tool) ?? Cutter::flat(1.0), MotionKind::FEED, true, $from, $to, 1.0);
}

function toolOf(ToolKind $kind, float $diameter, int $number = 1): Tool
{
    return new Tool($number, '', $kind, new ToolGeometry($diameter));
}

it('keeps what happened once for a move and a stock, tool by tool', function (): void {
    $incidents = new Incidents;
    [$one, $other] = [toolOf(ToolKind::EndMill, 6.0), toolOf(ToolKind::EndMill, 6.0, 2)];
    $incidents->add(Incident::Deep, stroked(3, $one, -1.0), 0.5, 0);
    $incidents->add(Incident::Deep, stroked(3, $one, -1.0), 0.7, 0); // the same again, as another piece of it
    $incidents->add(Incident::Deep, stroked(3, $one, -1.0), 0.6, 1);
    $incidents->add(Incident::Deep, stroked(4, $one, -4.0), 0.4, 1);
    $incidents->add(Incident::Deep, stroked(5, $other, -2.0), 0.3, 0);
    $told = static fn (Cut $cut): array => [$cut->row, $cut->stock, $cut->by, $cut->z];
    expect(array_map(static fn (array $cuts): array => array_map($told, $cuts), $incidents->of(Incident::Deep)))
        ->toBe([1 => [[3, 0, 0.5, -1.0], [3, 1, 0.6, -1.0], [4, 1, 0.4, -4.0]], 2 => [[5, 0, 0.3, -2.0]]])
        ->and($incidents->of(Incident::Slot))->toBe([]);
});

it('keeps the first two hundred, and last the greatest that came after', function (): void {
    $incidents = new Incidents;
    $tool = toolOf(ToolKind::EndMill, 6.0);
    foreach ([...array_fill(0, 200, 1.0), 0.5, 3.0, 2.0] as $row => $by) {
        $incidents->add(Incident::Wide, stroked($row, $tool, -1.0), $by, 0);
    }
    $kept = $incidents->of(Incident::Wide)[1];
    expect($kept)->toHaveCount(200)->and([$kept[198]->row, $kept[198]->by, $kept[199]->row, $kept[199]->by])->toBe([198, 1.0, 201, 3.0]);
});

it('knows the widest hole that other tools have made down to where a stroke ends', function (array $strokes, ?float $widest): void {
    $bores = new Bores;
    foreach ($strokes as $row => [$tool, $z, $x]) {
        $bores->add(stroked($row, $tool, $z, $x));
    }
    expect($bores->widestUnder(stroked(99, toolOf(ToolKind::Tap, 6.0, 9), -10.0), -20.0))->toBe($widest);
})->with([
    'deep enough to its edge' => [[[toolOf(ToolKind::Reamer, 5.0), -10.0, 5.0]], 2.5],
    // The point of 118° is 1.5 long: its edge is that much higher.
    'a drill as deep by its point alone' => [[[toolOf(ToolKind::Drill, 5.0), -10.0, 5.0]], null],
    'a drill deeper by its point' => [[[toolOf(ToolKind::Drill, 5.0), -11.6, 5.0]], 2.5],
    'a deep stroke, and a short one behind it' => [[[toolOf(ToolKind::Reamer, 5.0), -12.0, 5.0], [toolOf(ToolKind::Reamer, 5.0), -3.0, 5.0]], 2.5],
    'two tools' => [[[toolOf(ToolKind::Reamer, 5.0), -12.0, 5.0], [toolOf(ToolKind::EndMill, 7.0, 2), -12.0, 5.0]], 3.5],
    'the wider one not deep enough' => [[[toolOf(ToolKind::Reamer, 5.0), -12.0, 5.0], [toolOf(ToolKind::EndMill, 7.0, 2), -9.0, 5.0]], 2.5],
    'at another place' => [[[toolOf(ToolKind::Reamer, 5.0), -12.0, 6.0]], null],
    'a kind that makes no hole' => [[[toolOf(ToolKind::Tap, 5.0), -12.0, 5.0]], null],
    'its own' => [[[toolOf(ToolKind::Drill, 5.0, 9), -15.0, 5.0]], null],
]);

it('takes a hole that is through for one that is deep enough', function (): void {
    $bores = new Bores;
    $bores->add(stroked(1, toolOf(ToolKind::Reamer, 5.0), -8.0));
    expect($bores->widestUnder(stroked(2, toolOf(ToolKind::Tap, 6.0, 9), -10.0), -8.0))->toBe(2.5)
        ->and($bores->widestUnder(stroked(2, toolOf(ToolKind::Tap, 6.0, 9), -10.0), -8.1))->toBeNull();
});
