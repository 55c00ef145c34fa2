<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use Closure;
use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Setup\Obstacle;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;

/**
 * Every move of the tool against the obstacles of the setup. A tool is as wide as its diameter from its tip upwards; arcs are
 * taken in chords. Nothing is said where nobody knows where the tip is.
 */
final class ObstacleSurvey implements ChunkReader
{
    private const MOST = 500;

    /** As far as a chord may stand off its arc, mm. */
    private const CHORD_ERROR = 0.005;

    private const MOST_CHORDS = 10_000;

    /** @var array<string, list<LowMove>> name of the obstacle => moves into it, in the coordinates of its work offset */
    public array $hits = [];

    /** @var array<string, list<LowMove>> the same for moves that bring into it what holds the tool; z: of its lower end there */
    public array $holderHits = [];

    private readonly bool $turns;

    /** @var array<string, list<Obstacle>> name of an obstacle and angle => what stands for it then */
    private array $turned = [];

    private readonly ?float $gaugeShift;

    public function __construct(private readonly Setup $setup)
    {
        $this->gaugeShift = $setup->tooling->gaugeShift();
        $this->turns = array_filter($setup->workholding->obstacles, static fn (Obstacle $obstacle): bool => $obstacle->turnsWith !== null) !== [];
    }

    public function read(Chunk $chunk, array $states, array $details): void
    {
        $axes = $this->setup->machine->linearColumns();
        if ($this->setup->workholding->obstacles === [] || $axes === null) {
            return;
        }
        $columns = array_map($chunk->axis(...), $axes);
        $before = $chunk->placeBefore(0, $axes);
        $arcs = array_flip($chunk->arcRows());
        $numbers = $chunk->states();
        $lines = $chunk->lines();
        foreach ($chunk->kinds() as $row => $kind) {
            if ($kind > MotionKind::ARC) {
                continue;
            }
            $to = [$columns[0][$row], $columns[1][$row], $columns[2][$row]];
            $state = $states[$numbers[$row]];
            if ($state->lengthIsKnown() && $state->work->isSet) {
                $arc = $arcs[$row] ?? null;
                $path = $arc === null ? [$before, $to] : fn (): array => $this->chords($chunk, $arc, $state, $before, $to);
                $this->against(
                    $state, $lines[$row], $arc === null ? new Box(...self::corners($before, $to)) : $this->around($chunk, $arc, $state, $before, $to),
                    $path, $axes, $this->standing($chunk, $row),
                );
            }
            $before = $to;
        }
    }

    /** @return list<Obstacle> the obstacles during a row: those that turn with an axis as they stand at both of its ends */
    private function standing(Chunk $chunk, int $row): array
    {
        if (! $this->turns) {
            return $this->setup->workholding->obstacles;
        }
        $standing = [];
        foreach ($this->setup->workholding->obstacles as $obstacle) {
            $index = $obstacle->turnsWith === null ? null : $this->setup->machine->axisIndex[$obstacle->turnsWith] ?? null;
            if ($index === null) {
                $standing[] = $obstacle;

                continue;
            }
            $angles = $chunk->axis($index);
            // The angle of the axis in the coordinates of the work offset of its centre.
            $zero = $this->setup->workOffsets[$this->setup->rotaryCenters[$obstacle->turnsWith]->workOffset][$obstacle->turnsWith] ?? 0.0;
            foreach (array_unique([($row > 0 ? $angles[$row - 1] : $chunk->before[$index]) - $zero, $angles[$row] - $zero], SORT_NUMERIC) as $angle) {
                array_push($standing, ...($this->turned[$obstacle->name.' '.round($angle, 3)] ??= Turning::asTurned($this->setup, $obstacle, $angle)));
            }
        }

        return $standing;
    }

    /**
     * @param  Box  $around  the path
     * @param  list<array{float, float, float}>|(Closure(): list<array{float, float, float}>)  $path  corners of the path of the gauge line, machine coordinates
     * @param  list<int|null>  $axes
     * @param  list<Obstacle>  $obstacles  as they stand then
     */
    private function against(State $state, int $line, Box $around, array|Closure $path, array $axes, array $obstacles): void
    {
        $tool = $this->setup->tooling->tools[$state->tool] ?? null;
        $reach = max($tool?->radius() ?? 0.0, 0.0, ...array_map(static fn (array $step): float => $step['diameter'] / 2, $tool->holding->holder ?? []));
        foreach ($obstacles as $obstacle) {
            $work = $this->setup->machine->ordered($this->setup->workOffsets[$obstacle->workOffset] ?? []);
            $shift = array_map(static fn (?int $axis): float => $work[(int) $axis] + $state->length->shift[(int) $axis], $axes);
            if ($obstacle->workOffset === Obstacle::MACHINE) {
                if ($this->gaugeShift === null) {
                    continue; // nobody knows how long the tools are
                }
                $shift = [$shift[0], $shift[1], $shift[2] - $this->gaugeShift];
            }
            if (! self::isNear($around, $obstacle, $shift, $reach)) {
                continue;
            }
            $path = $path instanceof Closure ? $path() : $path;
            $hit = $this->hit($obstacle, $path, $shift, $tool?->radius() ?? 0.0, 0.0, $line, $state->tool);
            if ($hit !== null) {
                if (count($this->hits[$obstacle->name] ?? []) < self::MOST) {
                    $this->hits[$obstacle->name][] = $hit;
                }

                continue;
            }
            $above = $tool->holding->stickout ?? INF;
            foreach ($tool->holding->holder ?? [] as $step) {
                $hit = is_finite($above) ? $this->hit($obstacle, $path, $shift, $step['diameter'] / 2, $above, $line, $state->tool) : null;
                if ($hit !== null) {
                    if (count($this->holderHits[$obstacle->name] ?? []) < self::MOST) {
                        $this->holderHits[$obstacle->name][] = $hit;
                    }

                    break;
                }
                $above += $step['length'] ?? INF;
            }
        }
    }

    /**
     * Whether a path, with all that is round about it, may come to an obstacle at all.
     *
     * @param  list<float>  $shift  of the tip's places to machine coordinates
     */
    private static function isNear(Box $around, Obstacle $obstacle, array $shift, float $reach): bool
    {
        return $around->low[0] - $reach < $obstacle->max[0] + $shift[0] && $around->high[0] + $reach > $obstacle->min[0] + $shift[0]
            && $around->low[1] - $reach < $obstacle->max[1] + $shift[1] && $around->high[1] + $reach > $obstacle->min[1] + $shift[1]
            && $around->low[2] < $obstacle->max[2] + $shift[2];
    }

    /**
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     * @return array{array{float, float, float}, array{float, float, float}} the lowest and the highest
     */
    private static function corners(array $from, array $to): array
    {
        return [[min($from[0], $to[0]), min($from[1], $to[1]), min($from[2], $to[2])], [max($from[0], $to[0]), max($from[1], $to[1]), max($from[2], $to[2])]];
    }

    /**
     * A box about the whole circle of an arc.
     *
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     */
    private function around(Chunk $chunk, int $arc, State $state, array $from, array $to): Box
    {
        [$low, $high] = self::corners($from, $to);
        $place = array_flip(AxisName::LINEAR);
        [$a, $b] = [$place[$state->modes->plane->first()], $place[$state->modes->plane->second()]];
        $radius = hypot($from[$a] - $chunk->arcFirst()[$arc], $from[$b] - $chunk->arcSecond()[$arc]);
        foreach ([[$a, $chunk->arcFirst()[$arc]], [$b, $chunk->arcSecond()[$arc]]] as [$axis, $centre]) {
            $low[$axis] = min($low[$axis], $centre - $radius);
            $high[$axis] = max($high[$axis], $centre + $radius);
        }

        /**
         * @var array{float, float, float} $low
         * @var array{float, float, float} $high
         */
        return new Box($low, $high);
    }

    /**
     * Something round on its way, from so far above the tip upwards; null where it does not run into the obstacle.
     *
     * @param  list<array{float, float, float}>  $path
     * @param  list<float>  $shift  of the tip's places to machine coordinates
     */
    private function hit(Obstacle $obstacle, array $path, array $shift, float $radius, float $above, int $line, int $tool): ?LowMove
    {
        $there = static fn (array $place): array => [$place[0] - $shift[0], $place[1] - $shift[1], $place[2] - $shift[2] + $above];
        for ($i = 1; $i < count($path); $i++) {
            if ($obstacle->isEnteredBy($there($path[$i - 1]), $there($path[$i]), $radius)) {
                return new LowMove($line, $tool, $path[$i][0] - $shift[0], $path[$i][1] - $shift[1], min($path[$i - 1][2], $path[$i][2]) - $shift[2] + $above);
            }
        }

        return null;
    }

    /**
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     * @return list<array{float, float, float}>
     */
    private function chords(Chunk $chunk, int $arc, State $state, array $from, array $to): array
    {
        $place = array_flip(AxisName::LINEAR);
        [$a, $b] = [$place[$state->modes->plane->first()], $place[$state->modes->plane->second()]];
        $centre = [$chunk->arcFirst()[$arc], $chunk->arcSecond()[$arc]];
        $angle = deg2rad($chunk->arcSweep()[$arc]);
        $count = Arc::chords(hypot($from[$a] - $centre[0], $from[$b] - $centre[1]), $angle, self::CHORD_ERROR, self::MOST_CHORDS);

        return Arc::places($from, $to, $a, $b, $centre, $angle, $count);
    }
}
