<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Kinematics\Axis;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Row;
use OakTrace\Core\Trace\SpindleSpeeds;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Trace\ThreadDetail;
use OakTrace\Core\Trace\Trace;

/** Writes a trace as oak-trace/1: one object a row (schemas/oak-trace-1.json). Numbers in the setup's units. */
final readonly class TraceLines
{
    private Machine $machine;

    private Units $units;

    private SpindleSpeeds $speeds;

    private function __construct(private Trace $trace, Setup $setup)
    {
        $this->machine = $setup->machine;
        $this->units = $setup->units;
        $this->speeds = new SpindleSpeeds($setup->machine);
    }

    /** @return iterable<array<string, mixed>> the head, then every row in order */
    public static function of(Trace $trace, Setup $setup): iterable
    {
        $diameters = array_filter($setup->machine->axes, static fn (Axis $axis): bool => $axis->isDiameter);
        yield ['format' => 'oak-trace/1', 'units' => $setup->units->value]
            + ($diameters === [] ? [] : ['xIs' => array_map(static fn (): string => 'diameter', $diameters)]);
        $lines = new self($trace, $setup);
        foreach ($trace->each() as $row) {
            yield $lines->line($row);
        }
    }

    /** @return array<string, mixed> */
    private function line(Row $row): array
    {
        $state = $row->state;
        $object = ['i' => $row->number, ...Places::fields($this->trace->sources, $row->line, 'calledFrom'), 'kind' => MotionKind::NAMES[$row->kind]];
        if (! $row->moves()) {
            return $object + $this->event($row) + ['seconds' => round($row->seconds, 4)];
        }
        if ($row->arc !== null) {
            $object += $this->arc($state, $row->from, $row->arc);
        }
        $rpm = $this->rpm($row);
        $byTurn = $state->feedsByTurn() && ($row->marks & Mark::THREAD) === 0;
        $object += [
            'tool' => $state->tool,
            'work' => $state->work->name,
            'from' => $this->part($row->from, $state),
            'to' => $this->part($row->to, $state),
            'machineTo' => $this->machinePosition($row->to),
            'feed' => $row->kind === MotionKind::RAPID ? null : $this->length($byTurn ? $row->feed * $rpm : $row->feed),
            'spindle' => $state->spindle->turn === 0 ? 0 : $rpm,
            'seconds' => round($row->seconds, 4),
            'compensated' => ($row->marks & Mark::COMPENSATED) !== 0,
        ];
        if ($byTurn && $row->kind !== MotionKind::RAPID) {
            $object['feedPerTurn'] = $this->length($row->feed);
        }
        if (($row->marks & Mark::THREAD) !== 0) {
            $object['thread'] = true;
            $detail = ThreadDetail::of($row->detail);
            $object += $detail->angle === 0.0 ? [] : ['startAngle' => $detail->angle];
            $object += $detail->change === 0.0 ? [] : ['lead' => $this->length($detail->lead), 'leadChange' => $this->length($detail->change)];
        }
        $rotary = $this->rotary($row->to);

        return $rotary === [] ? $object : $object + ['rotary' => $rotary];
    }

    /** Spindle speed at the end of a row: with a surface speed it hangs on how far the tool is from the axis. */
    private function rpm(Row $row): float
    {
        $axis = $this->machine->axisIndex[AxisName::X] ?? null;
        $rpm = $this->speeds->at($row->state, $row->kind, $row->from[$axis] ?? 0.0, $row->to[$axis] ?? 0.0);

        return $row->state->spindle->surfaceSpeed === null ? $rpm : round($rpm, 4);
    }

    /** @return array<string, mixed> */
    private function event(Row $row): array
    {
        $state = $row->state;

        return match ($row->kind) {
            MotionKind::TOOL => ['tool' => $state->tool],
            MotionKind::STOP => ['code' => $row->detail ?? ''],
            MotionKind::SPINDLE => [
                'turn' => ['counter-clockwise', 'stopped', 'clockwise'][$state->spindle->turn + 1],
                'spindle' => $state->spindle->turn === 0 ? 0 : $state->spindle->rpm,
            ] + (is_string($row->detail) ? ['function' => $row->detail] : []),
            MotionKind::COOLANT => ['flood' => $state->coolant->flood, 'mist' => $state->coolant->mist],
            default => [],
        };
    }

    /**
     * @param  array<int, float>  $from
     * @return array<string, mixed>
     */
    private function arc(State $state, array $from, Arc $arc): array
    {
        $center = $from;
        $center[$this->machine->axisIndex[$state->modes->plane->first()]] = $arc->first;
        $center[$this->machine->axisIndex[$state->modes->plane->second()]] = $arc->second;

        return [
            'plane' => $state->modes->plane->value,
            'center' => $this->part($center, $state),
            'clockwise' => $arc->sweep < 0,
            'sweep' => round(abs($arc->sweep), 9),
        ];
    }

    /**
     * @param  array<int, float>  $at  machine position
     * @return array{float, float, float} X Y Z in the coordinates of the work offset, length taken off
     */
    private function part(array $at, State $state): array
    {
        $part = [];
        foreach (AxisName::LINEAR as $name) {
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
            $isDiameter = $this->machine->axes[$name]->isDiameter;
            $position[$name] = $this->machine->axes[$name]->isRotary() ? round($at[$axis], 9) + 0.0 : $this->length($isDiameter ? 2 * $at[$axis] : $at[$axis]);
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
