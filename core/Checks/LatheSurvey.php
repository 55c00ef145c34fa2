<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;

/** What the checks of a lathe want to know of its moves, by the number of the state they are made under. Radii and lengths in millimetres. */
final class LatheSurvey implements ChunkReader
{
    /** @var array<int, int> place of the first move at feed */
    public array $firstFeed = [];

    /** @var array<int, array{float, int}> the least radius a move at feed comes to with a surface speed in force, and its place */
    public array $nearest = [];

    /** @var array<int, array{float, int}> the greatest feed in mm a turn, apart from threads, and its place */
    public array $mostFeed = [];

    /** @var array<int, array{float, int}> the furthest from the axis a move along it goes in, and its place */
    public array $offCenter = [];

    /** @var array<int, int> place of the first move in the part with no tool offset in force */
    public array $withoutOffset = [];

    /** @var list<array{place: int, state: int, fromZ: float, toZ: float, fromX: float, toX: float, feed: float}> passes of threads */
    public array $threads = [];

    private readonly ?int $z;

    private readonly ?int $x;

    public function __construct(private readonly Machine $machine)
    {
        $this->z = $machine->axisIndex[AxisName::Z] ?? null;
        $this->x = $machine->axisIndex[AxisName::X] ?? null;
    }

    public function read(Chunk $chunk, array $states, array $details): void
    {
        if (! $this->machine->isLathe() || $this->z === null || $this->x === null) {
            return;
        }
        [$zs, $xs] = [$chunk->axis($this->z), $chunk->axis($this->x)];
        [$kinds, $feeds, $marks, $numbers, $lines] = [$chunk->kinds(), $chunk->feeds(), $chunk->marks(), $chunk->states(), $chunk->lines()];
        [$fromZ, $fromX] = [$chunk->before[$this->z], $chunk->before[$this->x]];
        for ($row = 0; $row < $chunk->count; $row++) {
            [$toZ, $toX, $number] = [$zs[$row], $xs[$row], $numbers[$row]];
            if ($kinds[$row] <= MotionKind::ARC) {
                $state = $states[$number];
                $shift = $state->shift($this->x);
                if (($marks[$row] & Mark::MACHINE) === 0 && $state->length->number === 0 && $state->tool !== 0 && ($toZ !== $fromZ || $toX !== $fromX)) {
                    $this->withoutOffset[$number] ??= $lines[$row];
                }
                if (($marks[$row] & Mark::THREAD) !== 0) {
                    $this->threads[] = [
                        'place' => $lines[$row], 'state' => $number, 'fromZ' => $fromZ, 'toZ' => $toZ, 'fromX' => $fromX - $shift, 'toX' => $toX - $shift,
                        'feed' => $feeds[$row],
                    ];
                } elseif ($kinds[$row] !== MotionKind::RAPID) {
                    $this->feed($state, $number, $lines[$row], $feeds[$row], $fromX - $shift, $toX - $shift, $toZ - $fromZ);
                }
            }
            [$fromZ, $fromX] = [$toZ, $toX];
        }
    }

    private function feed(State $state, int $number, int $place, float $feed, float $fromX, float $toX, float $alongZ): void
    {
        $this->firstFeed[$number] ??= $place;
        $byTurn = match (true) {
            $state->feedsByTurn() => $feed,
            $state->spindle->rpm > 0.0 => $feed / $state->spindle->rpm,
            default => 0.0,
        };
        if ($byTurn > ($this->mostFeed[$number][0] ?? 0.0)) {
            $this->mostFeed[$number] = [$byTurn, $place];
        }
        $nearest = $fromX * $toX <= 0.0 ? 0.0 : min(abs($fromX), abs($toX));
        if ($state->spindle->surfaceSpeed !== null && $nearest < ($this->nearest[$number][0] ?? INF)) {
            $this->nearest[$number] = [$nearest, $place];
        }
        if (abs($alongZ) > 1e-6 && abs($toX) > ($this->offCenter[$number][0] ?? -1.0)) {
            $this->offCenter[$number] = [abs($toX), $place];
        }
    }
}
