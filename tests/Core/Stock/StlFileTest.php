<?php

declare(strict_types=1);

use OakTrace\Core\Formats\StlFile;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Stock\Cutter;
use OakTrace\Core\Stock\Sweep;

/** @return list<list<float>> nine numbers for each triangle */
function trianglesOf(string $stl): array
{
    $count = unpack('V', $stl, 80)[1];
    expect(strlen($stl))->toBe(84 + 50 * $count);

    return array_map(fn (int $i): array => array_values(unpack('g9', $stl, 84 + 50 * $i + 12)), range(0, $count - 1));
}

it('writes a solid that is closed and holds what is left', function (): void {
    $field = HeightField::box(Box::of([-10, -8, -6], [10, 8, 0]), 0.5);
    $sweep = new Sweep($field);
    $sweep->straight(Cutter::flat(3), -20, 1, -2, 20, 1, -2);
    $sweep->straight(Cutter::ball(2), -5, -10, -3, -5, 20, -3);
    $sweep->straight(Cutter::flat(1.5), 5, -5, 2, 5, -5, -9);
    $triangles = trianglesOf(StlFile::of($field, 'plate'));
    // Divergence theorem: the volume is the sum of the tetrahedra to the origin; a closed solid has no area on balance (geometry).
    $volume = 0.0;
    $area = [0.0, 0.0, 0.0];
    foreach ($triangles as [$ax, $ay, $az, $bx, $by, $bz, $cx, $cy, $cz]) {
        $volume += ($ax * ($by * $cz - $bz * $cy) + $ay * ($bz * $cx - $bx * $cz) + $az * ($bx * $cy - $by * $cx)) / 6;
        $area[0] += (($by - $ay) * ($cz - $az) - ($bz - $az) * ($cy - $ay)) / 2;
        $area[1] += (($bz - $az) * ($cx - $ax) - ($bx - $ax) * ($cz - $az)) / 2;
        $area[2] += (($bx - $ax) * ($cy - $ay) - ($by - $ay) * ($cx - $ax)) / 2;
    }
    expect($volume)->toEqualWithDelta($field->volume(), 1e-2)->and($area)->toEqualWithDelta([0, 0, 0], 1e-3);
});

it('makes one face of cells of one height, and writes in the unit asked for', function (): void {
    $field = HeightField::box(Box::of([0, 0, -25.4], [50.8, 25.4, 0]), 5.08);
    $triangles = trianglesOf(StlFile::of($field, 'block', 25.4));
    // Five rows of top and bottom, their ends, and the two long sides: two triangles each.
    expect(count($triangles))->toBe(2 * (5 * 4 + 2))->and(max(array_map(max(...), $triangles)))->toEqualWithDelta(2.0, 1e-6);
});
