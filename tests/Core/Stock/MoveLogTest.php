<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolGeometry;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Stock\Cutter;
use OakTrace\Core\Stock\Move;
use OakTrace\Core\Stock\MoveLog;
use OakTrace\Core\Trace\MotionKind;

/** A move of an end mill of 10 on a line of the program. */
function logged(int $line, array $from, array $to, ?array $arc = null): Move
{
    $tool = new Tool(1, '', ToolKind::EndMill, new ToolGeometry(10.0));

    return new Move(
        $line, $line, $tool, Cutter::flat(5.0), $arc === null ? MotionKind::FEED : MotionKind::ARC, false, PartPoint::of($from), PartPoint::of($to),
        1.0, $arc === null ? null : new Arc(...$arc),
    );
}

beforeEach(function (): void {
    $this->log = new MoveLog;
    $this->log->add(0, logged(1, [0, 0, 5], [0, 0, -3]));
    $this->log->add(0, logged(2, [0, 0, -3], [40, 0, -3]));
    $this->log->add(0, logged(3, [40, 0, -3], [40, 0, -3], [20.0, 0.0, 360.0]));
    $this->log->add(0, logged(4, [40, 0, -3], [40, 30, -6]));
    $this->log->add(1, logged(5, [0, 0, 5], [0, 0, -3]));
});

it('finds the moves that come over a place, and those of its own stock alone', function (float $x, float $y, array $lines): void {
    expect(array_map(fn (Move $move): int => $move->line, $this->log->over(0, $x, $y, $x, $y)))->toBe($lines);
})->with([
    'where it goes down' => [0, 0, [1, 2, 3]],
    'on the way' => [20, 4.9, [2, 3]],
    'on the arc, where nothing straight goes' => [20, 20, [3]],
    'beside all' => [-30, 0, []],
    'on the slope' => [40, 29, [4]],
]);

it('finds the move that brought the material down to where it stands', function (): void {
    expect($this->log->broughtTo(0, 2, 0, -3.0)->line)->toBe(1)
        ->and($this->log->broughtTo(0, 20, 0, -3.0)->line)->toBe(2)
        ->and($this->log->broughtTo(0, 20, 20, -3.0)->line)->toBe(3)
        ->and($this->log->broughtTo(0, 40, 32, -6.0)->line)->toBe(4)
        ->and($this->log->broughtTo(0, 20, 0, -9.0))->toBeNull()
        ->and($this->log->broughtTo(0, 90, 0, -3.0))->toBeNull();
});

it('finds the last move near a place', function (): void {
    expect($this->log->nearest(0, 40, 20)->line)->toBe(4)
        ->and($this->log->nearest(0, 90, 90))->toBeNull()
        ->and($this->log->nearest(1, 0, 0)->line)->toBe(5);
});

it('keeps only so many, and says that it has not all', function (): void {
    $move = logged(6, [0, 0, 0], [1, 0, 0]);
    expect($this->log->isWhole())->toBeTrue();
    for ($n = 0; $n < 60_000; $n++) {
        $this->log->add(0, $move);
    }
    expect($this->log->isWhole())->toBeFalse();
});
