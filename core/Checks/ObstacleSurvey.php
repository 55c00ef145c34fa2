<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use Closure;
use OakTrace\Core\Geometry\MachinePoint;
use OakTrace\Core\Geometry\Shift;
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
        $before = $chunk->pointBefore(0, $axes);
        $arcs = array_flip($chunk->arcRows());
        $numbers = $chunk->states();
        $lines = $chunk->lines();
        foreach ($chunk->kinds() as $row => $kind) {
            if ($kind > MotionKind::ARC) {
                continue;
            }
            $to = new MachinePoint($columns[0][$row], $columns[1][$row], $columns[2][$row]);
            $state = $states[$numbers[$row]];
            if ($state->lengthIsKnown() && $state->work->isSet) {
                $arc = $arcs[$row] ?? null;
                $path = $arc === null ? [$before, $to] : fn (): array => $this->chords($chunk, $arc, $state, $before, $to);
                $room = $arc === null ? self::room($before, $to) : $this->roomOf($chunk, $arc, $state, $before, $to);
                $this->against($state, $lines[$row], $room, $path, $axes, $this->standing($chunk, $row));
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
     * @param  array{float, float, float, float, float}  $room  of the path, see room()
     * @param  non-empty-list<MachinePoint>|(Closure(): non-empty-list<MachinePoint>)  $path  its corners
     * @param  array{int, int, int}  $axes
     * @param  list<Obstacle>  $obstacles  as they stand then
     */
    private function against(State $state, int $line, array $room, array|Closure $path, array $axes, array $obstacles): void
    {
        $tool = $this->setup->tooling->tools[$state->tool] ?? null;
        $reach = max($tool?->radius() ?? 0.0, 0.0, ...array_map(static fn (array $step): float => $step['diameter'] / 2, $tool->holding->holder ?? []));
        foreach ($obstacles as $obstacle) {
            $zero = $this->setup->zero($obstacle->workOffset)->plus($state->length->on($axes));
            if ($obstacle->workOffset === Obstacle::MACHINE) {
                if ($this->gaugeShift === null) {
                    continue; // nobody knows how long the tools are
                }
                $zero = $zero->minus(new Shift(0.0, 0.0, $this->gaugeShift));
            }
            if (! self::isNear($room, $obstacle, $zero, $reach)) {
                continue;
            }
            $path = $path instanceof Closure ? $path() : $path;
            $hit = $this->hit($obstacle, $path, $zero, $tool?->radius() ?? 0.0, 0.0, $line, $state->tool);
            if ($hit !== null) {
                if (count($this->hits[$obstacle->name] ?? []) < self::MOST) {
                    $this->hits[$obstacle->name][] = $hit;
                }

                continue;
            }
            $above = $tool->holding->stickout ?? INF;
            foreach ($tool->holding->holder ?? [] as $step) {
                $hit = is_finite($above) ? $this->hit($obstacle, $path, $zero, $step['diameter'] / 2, $above, $line, $state->tool) : null;
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
     * @param  array{float, float, float, float, float}  $room  of the path
     * @param  Shift  $zero  where the axes stand with the tip on the zero of the obstacle
     */
    private static function isNear(array $room, Obstacle $obstacle, Shift $zero, float $reach): bool
    {
        [$low, $high] = [$obstacle->around->low, $obstacle->around->high];

        return $high->x + $zero->x > $room[0] - $reach && $low->x + $zero->x < $room[1] + $reach && $high->y + $zero->y > $room[2] - $reach
            && $low->y + $zero->y < $room[3] + $reach && $room[4] < $high->z + $zero->z;
    }

    /** @return array{float, float, float, float, float} least and greatest X and Y, and least Z, on the way from one point to another */
    private static function room(MachinePoint $from, MachinePoint $to): array
    {
        return [min($from->x, $to->x), max($from->x, $to->x), min($from->y, $to->y), max($from->y, $to->y), min($from->z, $to->z)];
    }

    /** @return array{float, float, float, float, float} the same of the whole circle of an arc */
    private function roomOf(Chunk $chunk, int $arc, State $state, MachinePoint $from, MachinePoint $to): array
    {
        $room = self::room($from, $to);
        $start = $from->each();
        [$a, $b] = $state->modes->plane->places();
        $about = $chunk->arc($arc);
        $radius = $about->radius($start[$a], $start[$b]);
        foreach ([[$a, $about->first], [$b, $about->second]] as [$axis, $center]) {
            $room[2 * $axis] = min($room[2 * $axis], $center - $radius);
            if ($axis < 2) {
                $room[2 * $axis + 1] = max($room[2 * $axis + 1], $center + $radius);
            }
        }

        /** @var array{float, float, float, float, float} */
        return $room;
    }

    /**
     * Something round on its way, from so far above the tip upwards; null where it does not run into the obstacle.
     *
     * @param  non-empty-list<MachinePoint>  $path
     * @param  Shift  $zero  where the axes stand with the tip on the zero of the obstacle
     */
    private function hit(Obstacle $obstacle, array $path, Shift $zero, float $radius, float $above, int $line, int $tool): ?LowMove
    {
        $up = new Shift(0.0, 0.0, $above);
        $from = $path[0]->tipFrom($zero)->plus($up);
        foreach (array_slice($path, 1) as $corner) {
            $to = $corner->tipFrom($zero)->plus($up);
            if ($obstacle->isEnteredBy($from, $to, $radius)) {
                return new LowMove($line, $tool, $to->x, $to->y, min($from->z, $to->z));
            }
            $from = $to;
        }

        return null;
    }

    /** @return non-empty-list<MachinePoint> */
    private function chords(Chunk $chunk, int $arc, State $state, MachinePoint $from, MachinePoint $to): array
    {
        $start = $from->each();
        [$a, $b] = $state->modes->plane->places();
        $about = $chunk->arc($arc);
        $count = $about->chordsAt($about->radius($start[$a], $start[$b]), self::CHORD_ERROR, self::MOST_CHORDS);

        return array_map(static fn (array $place): MachinePoint => new MachinePoint(...$place), $about->places($start, $to->each(), [$a, $b], $count));
    }
}
