<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Solids\Mesh;
use OakTrace\Core\Solids\MeshHeights;

/** A landscape of triangles over 20 × 10 from 0, its corners at odd places, with long slivers and upright ones among them. */
function landscape(int $seed): Mesh
{
    mt_srand($seed);
    $corners = [];
    for ($n = 0; $n < 60; $n++) {
        [$x, $y] = [mt_rand(0, 2000) / 100, mt_rand(0, 1000) / 100];
        $sliver = $n % 3 === 0;
        foreach ([[0, 0], [$sliver ? 12.3 : 3.1, $sliver ? 7.7 : 0.4], [$sliver ? 12.4 : 0.7, $sliver ? 7.7 : 2.9]] as [$across, $along]) {
            array_push($corners, min(20.0, $x + $across), min(10.0, $y + $along), mt_rand(0, 500) / 100);
        }
        array_push($corners, $x, $y, 0.0, $x, $y, 3.0, $x + 1.0, $y + 1.0, 1.0);
    }

    return new Mesh($corners);
}

/** Its height at a place, every triangle asked. */
function highest(Mesh $solid, float $x, float $y): float
{
    $highest = -INF;
    foreach (array_chunk($solid->corners, 9) as [$x0, $y0, $z0, $x1, $y1, $z1, $x2, $y2, $z2]) {
        $double = ($x1 - $x0) * ($y2 - $y0) - ($x2 - $x0) * ($y1 - $y0);
        [$b, $c] = abs($double) < 1e-12 ? [-1.0, -1.0] : [
            (($x - $x0) * ($y2 - $y0) - ($x2 - $x0) * ($y - $y0)) / $double, (($x1 - $x0) * ($y - $y0) - ($x - $x0) * ($y1 - $y0)) / $double,
        ];
        $highest = $b >= 0.0 && $c >= 0.0 && $b + $c <= 1.0 ? max($highest, $z0 + $b * ($z1 - $z0) + $c * ($z2 - $z0)) : $highest;
    }

    return $highest;
}

it('stands as high as its highest triangle over every cell, and at any place', function (int $seed): void {
    $solid = landscape($seed);
    $field = HeightField::box(Box::of([-1.0, -1.0, -1.0], [21.0, 11.0, 0.0]), 0.3);
    $at = new MeshHeights($solid);
    $seen = 0;
    foreach ($solid->over($field) as $cell => $height) {
        [$x, $y] = $field->place($cell);
        $wanted = highest($solid, $x, $y);
        expect($height)->toEqualWithDelta($wanted, 1e-6)->and($at->at($x, $y))->toEqualWithDelta($wanted, 1e-6);
        $seen += $wanted > -INF ? 1 : 0;
    }
    expect($seen)->toBeGreaterThan(500)->and($at->at(-5.0, 3.0))->toBe(-INF)->and($at->at(5.0, 30.0))->toBe(-INF);
})->with([1, 2, 3]);
