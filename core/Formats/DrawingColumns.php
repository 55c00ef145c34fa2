<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Control\Plane;
use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\SpindleSpeeds;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Trace\Tip;
use OakTrace\Core\Trace\Trace;

/**
 * A trace as packed columns for drawing and for the position display; lengths in the unit asked for, angles in degrees.
 *
 * One value a row: line (of the program itself), kind, state, endSeconds (since the start), feed, x y z (the tip in the
 * coordinates of the stock), machineX… (every axis), corners (how many corners of the drawn path the row adds). Where
 * other texts were called: text (0 the program itself, 1 and on the called ones, in the order of SourceMap::others()) and
 * textLine (the line in that text).
 * Of a lathe: rpm (of the spindle at its end).
 * One value a corner, arcs broken into chords: cornerX cornerY cornerZ. The first corner of a row continues from the last
 * corner of the row before it.
 * One value an arc: arcRow, arcX arcY arcZ (its centre, at the height it begins at), arcRadius, arcSweep (degrees, minus
 * clockwise), arcNormal (0 X, 1 Y, 2 Z).
 * One value a corner of the path as programmed, where compensation runs beside it: programmedX programmedY programmedZ;
 * not a number before the first corner of each stretch.
 */
final class DrawingColumns implements ChunkReader
{
    /** How far a chord may stand off its arc, mm. */
    private const CHORD_ERROR = 0.01;

    private const MOST_CHORDS = 180;

    private const TYPES = [
        'line' => ColumnType::U32, 'kind' => ColumnType::U8, 'state' => ColumnType::U32, 'endSeconds' => ColumnType::F64, 'feed' => ColumnType::F32,
        'x' => ColumnType::F32, 'y' => ColumnType::F32, 'z' => ColumnType::F32, 'corners' => ColumnType::U8,
        'cornerX' => ColumnType::F32, 'cornerY' => ColumnType::F32, 'cornerZ' => ColumnType::F32,
        'arcRow' => ColumnType::U32, 'arcX' => ColumnType::F32, 'arcY' => ColumnType::F32, 'arcZ' => ColumnType::F32,
        'arcRadius' => ColumnType::F32, 'arcSweep' => ColumnType::F32, 'arcNormal' => ColumnType::U8,
        'programmedX' => ColumnType::F32, 'programmedY' => ColumnType::F32, 'programmedZ' => ColumnType::F32,
    ];

    private PackedColumns $columns;

    private float $elapsed = 0.0;

    /** @var array<int, float> programmed end of the compensated move before */
    private array $programmedAt = [];

    private bool $hasCalls = false;

    private int $rows = 0;

    private readonly Tip $tip;

    private readonly float $unit;

    private readonly SpindleSpeeds $speeds;

    /** @var list<State> */
    private array $states = [];

    /** @param  Units|null  $units  the setup's where not given */
    public function __construct(private readonly SourceMap $sources, private readonly Setup $setup, ?Units $units = null)
    {
        $this->tip = Tip::inPart($setup);
        $this->speeds = new SpindleSpeeds($setup->machine);
        $this->unit = ($units ?? $setup->units)->millimetres();
        $this->columns = new PackedColumns;
        foreach (self::TYPES as $name => $type) {
            $this->columns->open($name, $type);
        }
        if ($setup->machine->isLathe()) {
            $this->columns->open('rpm', ColumnType::F32);
        }
        foreach ($setup->machine->axisNames as $name) {
            $this->columns->open('machine'.$name, ColumnType::F64);
        }
    }

    /** Of a trace that is timed already. */
    public static function of(Trace $trace, Setup $setup, ?Units $units = null): PackedColumns
    {
        $drawing = new self($trace->sources, $setup, $units);
        $trace->show($drawing);

        return $drawing->columns();
    }

    /** Those of the rows seen so far. */
    public function columns(): PackedColumns
    {
        return $this->columns;
    }

    /** @param  Chunk  $chunk  timed already */
    public function read(Chunk $chunk, array $states, array $details): void
    {
        $this->states = $states;
        $machine = $this->setup->machine;
        $unit = $this->unit;
        $numbers = $chunk->states();
        $tipShifts = [];
        foreach (array_unique($numbers) as $number) {
            $tipShifts[$number] = $this->tip->shift($states[$number]);
        }
        $part = [AxisName::X => [], AxisName::Y => [], AxisName::Z => []];
        foreach ($machine->axisNames as $axis => $name) {
            $positions = $chunk->axis($axis);
            $factor = $machine->axes[$name]->isRotary() ? 1.0 : $unit;
            $this->columns->add(
                'machine'.$name, $factor === 1.0 ? $positions : array_map(static fn (float $position): float => $position / $factor, $positions),
            );
            if (isset($part[$name])) {
                $part[$name] = $this->inPart($positions, $numbers, array_map(static fn (array $shift): float => $shift[$axis], $tipShifts), $factor);
            }
        }
        $zeros = array_fill(0, $chunk->count, 0.0);
        $part = array_map(static fn (array $column): array => $column === [] ? $zeros : $column, $part);
        $ends = [];
        foreach ($chunk->seconds() as $seconds) {
            $ends[] = $this->elapsed += $seconds;
        }
        $this->places($chunk);
        $this->programmed($chunk, $tipShifts, $unit);
        $this->columns->add('kind', $chunk->kinds());
        $this->columns->add('state', $numbers);
        $this->columns->add('endSeconds', $ends);
        $rpms = $this->speeds($chunk);
        if ($machine->isLathe()) {
            $this->columns->add('rpm', $rpms);
        }
        $feeds = $this->perMinute($chunk, $rpms);
        $this->columns->add('feed', $unit === 1.0 ? $feeds : array_map(static fn (float $feed): float => $feed / $unit, $feeds));
        $this->columns->add('x', $part[AxisName::X]);
        $this->columns->add('y', $part[AxisName::Y]);
        $this->columns->add('z', $part[AxisName::Z]);
        if ($chunk->arcRows() === [] && max([0, ...$chunk->kinds()]) <= MotionKind::ARC) {
            // Straight moves alone: every row ends in the one corner it adds.
            $this->columns->add('corners', array_fill(0, $chunk->count, 1));
            $this->columns->add('cornerX', $part[AxisName::X]);
            $this->columns->add('cornerY', $part[AxisName::Y]);
            $this->columns->add('cornerZ', $part[AxisName::Z]);
        } else {
            $this->corners($chunk, $part[AxisName::X], $part[AxisName::Y], $part[AxisName::Z], $tipShifts);
        }
    }

    /** @return list<float> speed of the spindle at the end of each row, rev/min; none where nothing hangs on it */
    private function speeds(Chunk $chunk): array
    {
        $axis = $this->setup->machine->axisIndex[AxisName::X] ?? null;
        $hangs = $this->setup->machine->isLathe() || array_filter($this->states, static fn (State $state): bool => $state->feedsByTurn()) !== [];
        if ($axis === null || ! $hangs) {
            return [];
        }
        [$at, $kinds, $from] = [$chunk->axis($axis), $chunk->kinds(), $chunk->before[$axis]];
        $speeds = [];
        foreach ($chunk->states() as $row => $number) {
            $speeds[] = $this->speeds->at($this->states[$number], $kinds[$row], $from, $at[$row]);
            $from = $at[$row];
        }

        return $speeds;
    }

    /**
     * @param  list<float>  $speeds  of the spindle, rev/min
     * @return list<float> feed of each row, mm/min: where the spindle keeps a surface speed that at the end of the move
     */
    private function perMinute(Chunk $chunk, array $speeds): array
    {
        if ($speeds === []) {
            return $chunk->feeds();
        }
        $feeds = [];
        [$numbers, $marks] = [$chunk->states(), $chunk->marks()];
        foreach ($chunk->feeds() as $row => $feed) {
            // A pass of a thread is kept by the minute.
            $isByTurn = $this->states[$numbers[$row]]->feedsByTurn() && ($marks[$row] & Mark::THREAD) === 0;
            $feeds[] = $isByTurn ? $feed * $speeds[$row] : $feed;
        }

        return $feeds;
    }

    /**
     * Positions of an axis in the coordinates of the stock.
     *
     * @param  list<float>  $positions
     * @param  list<int>  $states
     * @param  array<int, float>  $shifts  of each state
     * @return list<float>
     */
    private function inPart(array $positions, array $states, array $shifts, float $factor): array
    {
        $at = [];
        if (count($shifts) === 1) {
            $shift = reset($shifts);
            foreach ($positions as $position) {
                $at[] = ($position - $shift) / $factor;
            }

            return $at;
        }
        foreach ($positions as $row => $position) {
            $at[] = ($position - $shifts[$states[$row]]) / $factor;
        }

        return $at;
    }

    /**
     * The drawn path: the end of every move, and before that of an arc its chords.
     *
     * @param  list<float>  $xs
     * @param  list<float>  $ys
     * @param  list<float>  $zs
     * @param  array<int, list<float>>  $tipShifts
     */
    private function corners(Chunk $chunk, array $xs, array $ys, array $zs, array $tipShifts): void
    {
        $counts = array_fill(0, $chunk->count, 1);
        $path = [[], [], []];
        $columns = [$xs, $ys, $zs];
        $circles = [];
        $from = 0;
        // Whole stretches of straight moves at a time: what breaks them is an arc, or an event, which has no corner.
        $breaks = $chunk->arcRows();
        $arcs = array_flip($breaks);
        foreach ($chunk->kinds() as $row => $kind) {
            if ($kind > MotionKind::ARC) {
                $breaks[] = $row;
            }
        }
        sort($breaks);
        foreach ($breaks as $row) {
            foreach ($columns as $n => $column) {
                array_push($path[$n], ...array_slice($column, $from, $row - $from));
            }
            if (isset($arcs[$row])) {
                $chords = $this->chordsOf($chunk, $arcs[$row], $row, $columns, $tipShifts[$chunk->states()[$row]], $circles);
                $counts[$row] = 1 + count($chords[0]);
                foreach ($chords as $n => $places) {
                    array_push($path[$n], ...$places);
                }
                $from = $row;
            } else {
                $counts[$row] = 0;
                $from = $row + 1;
            }
        }
        foreach ($columns as $n => $column) {
            array_push($path[$n], ...array_slice($column, $from));
        }
        foreach (['arcRow', 'arcX', 'arcY', 'arcZ', 'arcRadius', 'arcSweep', 'arcNormal'] as $n => $name) {
            $this->columns->add($name, array_column($circles, $n));
        }
        $this->columns->add('corners', $counts);
        foreach (['cornerX', 'cornerY', 'cornerZ'] as $n => $name) {
            $this->columns->add($name, $path[$n]);
        }
    }

    /**
     * The chords of an arc, without its end, and the arc itself as a circle.
     *
     * @param  array{list<float>, list<float>, list<float>}  $columns  X Y Z
     * @param  list<float>  $shift
     * @param  list<array{int, float, float, float, float, float, int}>  $circles  the arc is added: row, centre, radius, sweep, normal
     * @return array{list<float>, list<float>, list<float>} X Y Z
     */
    private function chordsOf(Chunk $chunk, int $i, int $row, array $columns, array $shift, array &$circles): array
    {
        $machine = $this->setup->machine;
        $plane = $this->states[$chunk->states()[$row]]->modes->plane;
        $sweep = deg2rad($chunk->arcSweep()[$i]);
        $numbers = array_map(static fn (string $name): int => ord($name) - ord(AxisName::X), [$plane->first(), $plane->second(), $plane->normal()]);
        [$first, $second, $normal] = $numbers;
        $from = [0.0, 0.0, 0.0];
        foreach ($numbers as $n) {
            $axis = $machine->axisIndex[AxisName::LINEAR[$n]] ?? null;
            $before = $axis === null ? 0.0 : ($row > 0 ? $chunk->axis($axis)[$row - 1] : $chunk->before[$axis]);
            $from[$n] = $axis === null ? 0.0 : ($before - $shift[$axis]) / $this->unit;
        }
        $center = $from;
        $center[$first] = ($chunk->arcFirst()[$i] - $shift[$machine->axisIndex[$plane->first()]]) / $this->unit;
        $center[$second] = ($chunk->arcSecond()[$i] - $shift[$machine->axisIndex[$plane->second()]]) / $this->unit;
        $radius = hypot($from[$first] - $center[$first], $from[$second] - $center[$second]);
        $start = atan2($from[$second] - $center[$second], $from[$first] - $center[$first]);
        $rise = $columns[$normal][$row] - $from[$normal];
        $chords = Arc::chords($radius * $this->unit, $sweep, self::CHORD_ERROR, self::MOST_CHORDS);
        $path = [[], [], []];
        for ($n = 1; $n < $chords; $n++) {
            $share = $n / $chords;
            $path[$first][] = $center[$first] + $radius * cos($start + $sweep * $share);
            $path[$second][] = $center[$second] + $radius * sin($start + $sweep * $share);
            $path[$normal][] = $from[$normal] + $rise * $share;
        }
        $circles[] = [$chunk->first + $row, $center[0], $center[1], $center[2], $radius, $chunk->arcSweep()[$i], $normal];

        /** @var array{list<float>, list<float>, list<float>} */
        return $path;
    }

    private function places(Chunk $chunk): void
    {
        $places = $chunk->lines();
        $sources = $this->sources;
        $others = $sources->others();
        if ($others !== [] && ! $this->hasCalls) {
            // The first call of another text: what came before stands in the program itself.
            $this->hasCalls = true;
            $this->columns->open('text', ColumnType::U8);
            $this->columns->add('text', array_fill(0, $this->rows, 0));
            $this->columns->open('textLine', ColumnType::U32);
            $this->columns->add('textLine', $this->columns->numbers('line'));
        }
        $this->rows += $chunk->count;
        if (! $this->hasCalls) {
            // In no called text a place is the line itself.
            $this->columns->add(
                'line', max([0, ...$places]) === $sources::lineNumber(max([0, ...$places])) ? $places : array_map($sources::lineNumber(...), $places),
            );

            return;
        }
        $texts = [$sources->main, ...array_column($others, 1)];
        $lines = $numbers = $textLines = [];
        $known = [];
        foreach ($places as $place) {
            $known[$place] ??= [$sources->mainLine($place), (int) array_search($sources->textOf($place), $texts, true), $sources::lineNumber($place)];
            [$lines[], $numbers[], $textLines[]] = $known[$place];
        }
        $this->columns->add('line', $lines);
        $this->columns->add('text', $numbers);
        $this->columns->add('textLine', $textLines);
    }

    /** @param  array<int, list<float>>  $tipShifts */
    private function programmed(Chunk $chunk, array $tipShifts, float $unit): void
    {
        $machine = $this->setup->machine;
        $marks = $chunk->marks();
        $states = $chunk->states();
        $arcs = array_flip($chunk->arcRows());
        $columns = array_map($chunk->axis(...), array_keys($machine->axisNames));
        $corners = [];
        foreach ($chunk->programmedRows() as $i => $row) {
            $plane = $this->states[$states[$row]]->modes->plane;
            [$first, $second] = [$machine->axisIndex[$plane->first()], $machine->axisIndex[$plane->second()]];
            $end = array_map(static fn (array $column): float => $column[$row], $columns);
            $before = $row < 1 ? $chunk->before : array_map(static fn (array $column): float => $column[$row - 1], $columns);
            if ($row < 1 || $this->programmedAt === [] || ($marks[$row - 1] & Mark::COMPENSATED) === 0) {
                $this->programmedAt = $before;
                $corners[] = [NAN, NAN, NAN];
                $corners[] = $this->tipOf($before, $tipShifts[$states[$row]], $unit);
            }
            $end[$first] = $chunk->programmedFirst()[$i];
            $end[$second] = $chunk->programmedSecond()[$i];
            if (isset($arcs[$row])) {
                // The tip of a turning tool goes about a centre beside that of the programmed arc, which the middle of its nose goes about.
                $state = $this->states[$states[$row]];
                $nose = $plane === Plane::ZX ? $this->setup->turningOffset($state->tool, $state->length->number)?->noseToTip() : null;
                $center = [$chunk->arcFirst()[$arcs[$row]] - ($nose[0] ?? 0.0), $chunk->arcSecond()[$arcs[$row]] - ($nose[1] ?? 0.0)];
                $start = atan2($this->programmedAt[$second] - $center[1], $this->programmedAt[$first] - $center[0]);
                $sweep = atan2($end[$second] - $center[1], $end[$first] - $center[0]) - $start;
                $clockwise = $chunk->arcSweep()[$arcs[$row]] < 0;
                $sweep += $clockwise && $sweep >= 0 ? -2 * M_PI : (! $clockwise && $sweep <= 0 ? 2 * M_PI : 0.0);
                $radius = hypot($this->programmedAt[$first] - $center[0], $this->programmedAt[$second] - $center[1]);
                $chords = Arc::chords($radius, $sweep, self::CHORD_ERROR, self::MOST_CHORDS);
                for ($n = 1; $n < $chords; $n++) {
                    $at = $end;
                    $at[$first] = $center[0] + $radius * cos($start + $sweep * $n / $chords);
                    $at[$second] = $center[1] + $radius * sin($start + $sweep * $n / $chords);
                    $corners[] = $this->tipOf($at, $tipShifts[$states[$row]], $unit);
                }
            }
            $corners[] = $this->tipOf($end, $tipShifts[$states[$row]], $unit);
            $this->programmedAt = $end;
        }
        foreach (AxisName::LINEAR as $n => $name) {
            $this->columns->add('programmed'.$name, array_column($corners, $n));
        }
    }

    /**
     * @param  array<int, float>  $at  machine position
     * @param  list<float>  $shift
     * @return array{float, float, float}
     */
    private function tipOf(array $at, array $shift, float $unit): array
    {
        $tip = [];
        foreach (AxisName::LINEAR as $name) {
            $axis = $this->setup->machine->axisIndex[$name] ?? null;
            $tip[] = $axis === null ? 0.0 : ($at[$axis] - $shift[$axis]) / $unit;
        }

        /** @var array{float, float, float} */
        return $tip;
    }
}
