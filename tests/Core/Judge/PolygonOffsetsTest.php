<?php

declare(strict_types=1);

use Tests\Core\Compensated;
use Tests\Core\Judge\Contour;
use Tests\Core\Judge\PolygonOffsets;

/*
 * Judged by clipper-lib, a general-purpose library for clipping and offsetting polygons: 306 contours of lines and arcs, on
 * both sides, in three planes, with round and with extended corners.
 */
it('runs where a polygon library puts the offset, within 0.001 mm', function (): void {
    $tasks = [];
    for ($seed = 1; count($tasks) < 306; $seed++) {
        $plane = array_keys(Compensated::PLANES)[$seed % 3];
        $side = $seed % 2 === 0 ? 1 : -1;
        $corner = $seed % 5 === 0 ? 'extended' : 'arc';
        // Extended corners of an arc are those of its tangents, which a polygon only comes near to: lines there.
        $contour = Contour::random($seed, $corner === 'arc');
        $radius = 1.0 + $seed % 4 * 0.5;
        $program = $contour->program($plane, Compensated::PLANES[$plane][0], $side, $radius);
        $path = Compensated::path($program, $plane, Compensated::setup(2 * $radius, ['outsideCorner' => $corner]));
        $tasks[] = ['contour' => $contour->polygon(), 'outwards' => -$side * $radius, 'corner' => $corner, 'path' => $path];
    }
    $distances = PolygonOffsets::distances($tasks);
    expect($distances)->toHaveCount(306);
    foreach ($distances as $i => $distance) {
        expect($distance)->toBeBetween(0.0, 0.001, 'contour '.($i + 1));
    }
});
