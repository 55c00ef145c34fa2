<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Units;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Trace\Trace;

/** Writes a trace as oak-trace/1: one object a row (schemas/oak-trace-1.json). Numbers in the setup's units. */
final readonly class TraceLines
{
    private Machine $machine;

    private Units $units;

    private function __construct(private Trace $trace, Setup $setup)
    {
        $this->machine = $setup->machine;
        $this->units = $setup->units;
    }

    /** @return iterable<array<string, mixed>> the head, then every row in order */
    public static function of(Trace $trace, Setup $setup): iterable
    {
        yield ['format' => 'oak-trace/1', 'units' => $setup->units->value];
        $lines = new self($trace, $setup);
        foreach ($trace->chunks() as $chunk) {
            yield from $lines->rows($chunk);
        }
    }

    /** @return iterable<array<string, mixed>> */
    private function rows(Chunk $chunk): iterable
    {
        $kinds = $chunk->kinds();
        $lines = $chunk->lines();
        $states = $chunk->states();
        $feeds = $chunk->feeds();
        $seconds = $chunk->seconds();
        $columns = array_map($chunk->axis(...), array_keys($this->machine->axisNames));
        $arcs = array_flip($chunk->arcRows());
        $from = $chunk->before;

        foreach ($kinds as $row => $kind) {
            $state = $this->trace->states[$states[$row]];
            $to = array_map(static fn (array $column): float => $column[$row], $columns);
            $object = ['i' => $chunk->first + $row, 'line' => $lines[$row], 'kind' => MotionKind::NAMES[$kind]];
            if ($kind > MotionKind::ARC) {
                yield $object + $this->event($kind, $chunk->first + $row, $state) + ['seconds' => round($seconds[$row], 4)];

                continue;
            }
            if ($kind === MotionKind::ARC) {
                $i = $arcs[$row];
                $object += $this->arc($state, $from, $chunk->arcFirst()[$i], $chunk->arcSecond()[$i], $chunk->arcSweep()[$i]);
            }
            $object += [
                'tool' => $state->tool,
                'work' => $state->work,
                'from' => $this->part($from, $state),
                'to' => $this->part($to, $state),
                'machineTo' => $this->machinePosition($to),
                'feed' => $kind === MotionKind::RAPID ? null : $this->length($feeds[$row]),
                'spindle' => $state->spindleTurn === 0 ? 0 : $state->rpm,
                'seconds' => round($seconds[$row], 4),
                'compensated' => false,
            ];
            $rotary = $this->rotary($to);
            if ($rotary !== []) {
                $object['rotary'] = $rotary;
            }
            $from = $to;
            yield $object;
        }
    }

    /** @return array<string, mixed> */
    private function event(int $kind, int $row, State $state): array
    {
        return match ($kind) {
            MotionKind::TOOL => ['tool' => $state->tool],
            MotionKind::STOP => ['code' => $this->trace->details[$row] ?? ''],
            MotionKind::SPINDLE => ['turn' => ['counter-clockwise', 'stopped', 'clockwise'][$state->spindleTurn + 1], 'spindle' => $state->spindleTurn === 0 ? 0 : $state->rpm],
            MotionKind::COOLANT => ['flood' => $state->flood, 'mist' => $state->mist],
            default => [],
        };
    }

    /**
     * @param  array<int, float>  $from
     * @return array<string, mixed>
     */
    private function arc(State $state, array $from, float $first, float $second, float $sweep): array
    {
        $centre = $from;
        $centre[$this->machine->axisIndex[$state->plane->first()]] = $first;
        $centre[$this->machine->axisIndex[$state->plane->second()]] = $second;

        return [
            'plane' => $state->plane->value,
            'center' => $this->part($centre, $state),
            'clockwise' => $sweep < 0,
            'sweep' => round(abs($sweep), 9),
        ];
    }

    /**
     * @param  array<int, float>  $at  machine position
     * @return array{float, float, float} X Y Z in the coordinates of the work offset, length taken off
     */
    private function part(array $at, State $state): array
    {
        $part = [];
        foreach (['X', 'Y', 'Z'] as $name) {
            $axis = $this->machine->axisIndex[$name] ?? null;
            $part[] = $axis === null ? 0.0 : $this->length($at[$axis] - $state->shift($axis));
        }

        /** @var array{float, float, float} $part */
        return $part;
    }

    /**
     * @param  array<int, float>  $at
     * @return array<string, float>
     */
    private function machinePosition(array $at): array
    {
        $position = [];
        foreach ($this->machine->axisNames as $axis => $name) {
            $position[$name] = $this->machine->axes[$name]->isRotary() ? round($at[$axis], 9) + 0.0 : $this->length($at[$axis]);
        }

        return $position;
    }

    /**
     * @param  array<int, float>  $at
     * @return array<string, float>
     */
    private function rotary(array $at): array
    {
        return array_filter($this->machinePosition($at), fn (string $name): bool => $this->machine->axes[$name]->isRotary(), ARRAY_FILTER_USE_KEY);
    }

    private function length(float $millimetres): float
    {
        return round($millimetres / $this->units->millimetres(), 9) + 0.0;
    }
}
