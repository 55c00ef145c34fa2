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
        $judge = proc_open(['node', __DIR__.'/offset.mjs'], [['pipe', 'r'], ['pipe', 'w']], $pipes);
        fwrite($pipes[0], (string) json_encode($tasks));
        fclose($pipes[0]);
        $distances = json_decode((string) stream_get_contents($pipes[1]), true);
        proc_close($judge);

        return $distances;
    }
}
