<?php

declare(strict_types=1);

use OakTrace\Core\Setup\Insert;
use OakTrace\Core\Setup\Offset;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolGeometry;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Setup\TurningOffset;
use OakTrace\Core\Stock\Turned\CuttingShape;

function tipAt(int $quadrant): TurningOffset
{
    return new TurningOffset([], new Offset(0.0), $quadrant);
}

it('is a nose between two edges, in a mirror for each way the tip points', function (int $quadrant, int $z, int $x): void {
    // Edges at 85° and 5° from Z for an approach of 95° and 80° between them; the nose touches both of them and both sides of the tip (geometry).
    $tool = new Tool(1, '', ToolKind::Turning, new ToolGeometry(cornerRadius: 0.8), insert: new Insert(95.0, 80.0, 9.0));
    $shape = array_map(static fn (array $point): array => [$z * $point[0], $x * $point[1]], CuttingShape::of($tool, tipAt($quadrant)) ?? []);
    [$back, $front] = [array_pop($shape), array_pop($shape)];
    $nose = array_map(static fn (array $point): float => hypot($point[0] - 0.8, $point[1] - 0.8), $shape);
    expect($nose)->each->toEqualWithDelta(0.8, 1e-9)
        ->and(min(array_column($shape, 0)))->toEqualWithDelta(0.0, 0.001)
        ->and(min(array_column($shape, 1)))->toEqualWithDelta(0.0, 0.001)
        ->and($shape[0])->toEqualWithDelta([0.8 - 0.8 * cos(deg2rad(5)), 0.8 + 0.8 * sin(deg2rad(5))], 1e-9)
        ->and(end($shape))->toEqualWithDelta([0.8 + 0.8 * sin(deg2rad(5)), 0.8 - 0.8 * cos(deg2rad(5))], 1e-9)
        ->and($front)->toEqualWithDelta([end($shape)[0] + 9 * cos(deg2rad(5)), end($shape)[1] + 9 * sin(deg2rad(5))], 1e-9)
        ->and($back)->toEqualWithDelta([$shape[0][0] + 9 * cos(deg2rad(85)), $shape[0][1] + 9 * sin(deg2rad(85))], 1e-9);
    // No chord of the nose stands off it by more than half a thousandth, and there are no more of them than that asks for.
    $chord = hypot($shape[1][0] - $shape[0][0], $shape[1][1] - $shape[0][1]);
    expect(0.8 - sqrt(0.64 - $chord ** 2 / 4))->toBeLessThan(0.0005)->and(count($shape))->toBeLessThan(30);
})->with([[3, 1, 1], [2, 1, -1], [1, -1, -1], [4, -1, 1]]);

it('has edges as long as somebody says, and else as is usual', function (): void {
    $tool = new Tool(1, '', ToolKind::Boring, insert: new Insert(90.0, 60.0));
    $long = static fn (?array $shape): float => hypot(end($shape)[0] - $shape[0][0], end($shape)[1] - $shape[0][1]);
    expect($long(CuttingShape::of($tool, tipAt(2))))->toEqualWithDelta(12.0, 1e-9)
        ->and($long(CuttingShape::of($tool, tipAt(2), 3.0)))->toEqualWithDelta(3.0, 1e-9);
});

it('is a blade with the corner the offset says, or its middle', function (int $quadrant, array $corners): void {
    $tool = new Tool(1, '', ToolKind::Grooving, insert: new Insert(width: 3.0));
    expect(CuttingShape::of($tool, tipAt($quadrant), 8.0))->toEqual($corners);
})->with([
    [3, [[0, 0], [3, 0], [3, 8], [0, 8]]], [4, [[-3, 0], [0, 0], [0, 8], [-3, 8]]], [8, [[-1.5, 0], [1.5, 0], [1.5, 8], [-1.5, 8]]],
    [2, [[0, 0], [3, 0], [3, -8], [0, -8]]],
]);

it('is a point of 60° for a thread, outside and in a bore', function (int $quadrant, ?float $pitch, array $corners): void {
    $tool = new Tool(1, '', ToolKind::Threading, new ToolGeometry(pitch: $pitch));
    expect(CuttingShape::of($tool, tipAt($quadrant)))->toEqualWithDelta($corners, 1e-9);
})->with([
    [8, 2.0, [[0, 0], [2, 2 * sqrt(3)], [-2, 2 * sqrt(3)]]], [6, null, [[0, 0], [1.5, -1.5 * sqrt(3)], [-1.5, -1.5 * sqrt(3)]]],
]);

it('is a point and a body on both sides of the axis for a drill', function (): void {
    // 118°: the point is 0.300 d long (geometry).
    $shape = CuttingShape::of(new Tool(1, '', ToolKind::Drill, new ToolGeometry(10.0)), null) ?? [];
    expect([$shape[0], $shape[1], $shape[4]])->toEqualWithDelta([[0, 0], [5 / tan(deg2rad(59)), 5], [5 / tan(deg2rad(59)), -5]], 1e-9)
        ->and([$shape[2][1], $shape[3][1]])->toBe([5.0, -5.0])->and(min($shape[2][0], $shape[3][0]))->toBeGreaterThan(100);
});

it('is nothing where the tool does not say enough', function (Tool $tool, int $quadrant): void {
    expect(CuttingShape::of($tool, tipAt($quadrant)))->toBeNull();
})->with([
    'an insert without its angles' => [new Tool(1, '', ToolKind::Turning), 3],
    'one of them' => [new Tool(1, '', ToolKind::Turning, insert: new Insert(95.0)), 3],
    'a tip that points straight in' => [new Tool(1, '', ToolKind::Turning, insert: new Insert(95.0, 80.0)), 8],
    'a tip that points along' => [new Tool(1, '', ToolKind::Turning, insert: new Insert(95.0, 80.0)), 7],
    'a blade without its width' => [new Tool(1, '', ToolKind::Parting), 3],
    'a blade whose tip is not known' => [new Tool(1, '', ToolKind::Parting, insert: new Insert(width: 3.0)), 0],
    'a thread insert whose tip is not known' => [new Tool(1, '', ToolKind::Threading, new ToolGeometry(pitch: 2.0)), 0],
    'a drill without its diameter' => [new Tool(1, '', ToolKind::Drill), 0],
    'a probe' => [new Tool(1, '', ToolKind::Probe, new ToolGeometry(4.0)), 0],
]);
