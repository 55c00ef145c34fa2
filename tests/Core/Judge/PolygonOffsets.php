<?php

declare(strict_types=1);

namespace Tests\Core\Judge;

/** Asks clipper-lib, a general-purpose library for clipping and offsetting polygons, how far paths lie from the offset of their contours. */
final class PolygonOffsets
{
    /**
     * @param  list<array{contour: list<array{float, float}>, outwards: float, corner: string, path: list<array<string, mixed>>}>  $tasks  as in offset.mjs
     * @return list<float> the greatest distance of each, mm; -1 where the offset falls into pieces
     */
    public static function distances(array $tasks): array
    {
        return Script::ask('offset.mjs', $tasks);
    }
}
