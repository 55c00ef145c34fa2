<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

/** How far arcs go between their ends: their quadrant points. Positions are machine coordinates, mm. */
final class ArcBounds
{
    /**
     * Of each arc of a chunk, on the two axes of its plane.
     *
     * @param  list<State>  $states
     * @param  array<string, int>  $axisIndex  name of an axis => its column
     * @return iterable<int, array<int, array{float, float}>> row => axis => least and greatest position
     */
    public static function of(Chunk $chunk, array $states, array $axisIndex): iterable
    {
        $firsts = $chunk->arcFirst();
        $seconds = $chunk->arcSecond();
        $sweeps = $chunk->arcSweep();
        $numbers = $chunk->states();
        foreach ($chunk->arcRows() as $i => $row) {
            $plane = $states[$numbers[$row]]->modes->plane;
            $first = $axisIndex[$plane->first()];
            $second = $axisIndex[$plane->second()];
            $startFirst = $row > 0 ? $chunk->axis($first)[$row - 1] : $chunk->before[$first];
            $startSecond = $row > 0 ? $chunk->axis($second)[$row - 1] : $chunk->before[$second];
            $radius = hypot($startFirst - $firsts[$i], $startSecond - $seconds[$i]);
            $from = rad2deg(atan2($startSecond - $seconds[$i], $startFirst - $firsts[$i]));
            $end = $from + $sweeps[$i];
            $bounds = [
                $first => [$chunk->axis($first)[$row], $chunk->axis($first)[$row]],
                $second => [$chunk->axis($second)[$row], $chunk->axis($second)[$row]],
            ];
            for ($quadrant = (int) ceil(min($from, $end) / 90); $quadrant * 90 <= max($from, $end); $quadrant++) {
                $along = $quadrant % 2 === 0 ? $first : $second;
                $center = $along === $first ? $firsts[$i] : $seconds[$i];
                $at = $center + ((($quadrant % 4) + 4) % 4 < 2 ? $radius : -$radius);
                $bounds[$along] = [min($bounds[$along][0], $at), max($bounds[$along][1], $at)];
            }
            yield $row => $bounds;
        }
    }

    /**
     * The lowest position of each row on one axis: its end, or where an arc that stands on the axis dips between its ends.
     *
     * @param  list<State>  $states
     * @param  array<string, int>  $axisIndex
     * @return list<float>
     */
    public static function lowest(Chunk $chunk, array $states, array $axisIndex, string $axis): array
    {
        $index = $axisIndex[$axis];
        $positions = $chunk->axis($index);
        $numbers = $chunk->states();
        foreach ($chunk->arcRows() as $row) {
            if ($states[$numbers[$row]]->modes->plane->normal() !== $axis) {
                foreach (self::of($chunk, $states, $axisIndex) as $each => $bounds) {
                    $positions[$each] = min($positions[$each], $bounds[$index][0] ?? INF);
                }

                break;
            }
        }

        /** @var list<float> $positions */
        return $positions;
    }
}
