<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Kinematics\Tip;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Units;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Trace;

/**
 * A trace as packed columns for drawing and for the position display; lengths in the unit asked for, angles in degrees.
 *
 * One value a row: line (of the program itself), kind, state, endSeconds (since the start), feed, x y z (the tip in the
 * coordinates of the stock), machineX… (every axis), corners (how many corners of the drawn path the row adds). Where
 * other texts were called: text (0 the program itself, 1 and on the called ones, in the order of Library::others()) and
 * textLine (the line in that text).
 * One value a corner, arcs broken into chords: cornerX cornerY cornerZ. The first corner of a row continues from the last
 * corner of the row before it.
 * One value an arc: arcRow, arcX arcY arcZ (its centre, at the height it begins at), arcRadius, arcSweep (degrees, minus
 * clockwise), arcNormal (0 X, 1 Y, 2 Z).
 * One value a corner of the path as programmed, where compensation runs beside it: programmedX programmedY programmedZ;
 * not a number before the first corner of each stretch.
 */
final class DrawingColumns
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

    private bool $hasCalls;

    private Tip $tip;

    private float $unit;

    private function __construct(private readonly Trace $trace, private readonly Setup $setup, Units $units)
    {
        $this->tip = Tip::inPart($setup);
        $this->unit = $units->millimetres();
        $this->hasCalls = $trace->library->others() !== [];
        $this->columns = new PackedColumns;
        foreach (self::TYPES as $name => $type) {
            $this->columns->open($name, $type);
        }
        foreach ($setup->machine->axisNames as $name) {
            $this->columns->open('machine'.$name, ColumnType::F64);
        }
        if ($this->hasCalls) {
            $this->columns->open('text', ColumnType::U8);
            $this->columns->open('textLine', ColumnType::U32);
        }
    }

    /** @param  Units|null  $units  the setup's where not given */
    public static function of(Trace $trace, Setup $setup, ?Units $units = null): PackedColumns
    {
        $drawing = new self($trace, $setup, $units ?? $setup->units);
        foreach ($trace->chunks() as $chunk) {
            $drawing->take($chunk);
        }

        return $drawing->columns;
    }

    private function take(Chunk $chunk): void
    {
        $machine = $this->setup->machine;
        $unit = $this->unit;
        $states = $chunk->states();
        $tipShifts = [];
        foreach (array_unique($states) as $number) {
            $tipShifts[$number] = $this->tip->shift($this->trace->states[$number]);
        }
        $part = ['X' => [], 'Y' => [], 'Z' => []];
        foreach ($machine->axisNames as $axis => $name) {
            $positions = $chunk->axis($axis);
            $factor = $machine->axes[$name]->isRotary() ? 1.0 : $unit;
            $this->columns->add('machine'.$name, $factor === 1.0 ? $positions : array_map(static fn (float $position): float => $position / $factor, $positions));
            if (isset($part[$name])) {
                foreach ($positions as $row => $position) {
                    $part[$name][] = ($position - $tipShifts[$states[$row]][$axis]) / $factor;
                }
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
        $this->columns->add('state', $states);
        $this->columns->add('endSeconds', $ends);
        $this->columns->add('feed', $unit === 1.0 ? $chunk->feeds() : array_map(static fn (float $feed): float => $feed / $unit, $chunk->feeds()));
        $this->columns->add('x', $part['X']);
        $this->columns->add('y', $part['Y']);
        $this->columns->add('z', $part['Z']);
        if ($chunk->arcRows() === [] && max([0, ...$chunk->kinds()]) <= MotionKind::ARC) {
            // Straight moves alone: every row ends in the one corner it adds.
            $this->columns->add('corners', array_fill(0, $chunk->count, 1));
            $this->columns->add('cornerX', $part['X']);
            $this->columns->add('cornerY', $part['Y']);
            $this->columns->add('cornerZ', $part['Z']);
        } else {
            $this->corners($chunk, $part['X'], $part['Y'], $part['Z'], $tipShifts, $unit);
        }
    }

    /**
     * @param  list<float>  $xs
     * @param  list<float>  $ys
     * @param  list<float>  $zs
     * @param  array<int, list<float>>  $tipShifts
     */
    private function corners(Chunk $chunk, array $xs, array $ys, array $zs, array $tipShifts, float $unit): void
    {
        $machine = $this->setup->machine;
        $states = $chunk->states();
        $arcs = array_flip($chunk->arcRows());
        $counts = $cornerX = $cornerY = $cornerZ = [];
        $circles = array_fill_keys(['arcRow', 'arcX', 'arcY', 'arcZ', 'arcRadius', 'arcSweep', 'arcNormal'], []);
        foreach ($chunk->kinds() as $row => $kind) {
            if ($kind > MotionKind::ARC) {
                $counts[] = 0;

                continue;
            }
            $chords = 1;
            if ($kind === MotionKind::ARC) {
                $i = $arcs[$row];
                $sweep = deg2rad($chunk->arcSweep()[$i]);
                $plane = $this->trace->states[$states[$row]]->plane;
                $names = [$plane->first(), $plane->second(), $plane->normal()];
                $columns = ['X' => $xs, 'Y' => $ys, 'Z' => $zs];
                $from = [];
                foreach ($names as $name) {
                    $axis = $machine->axisIndex[$name] ?? null;
                    $before = $axis === null ? 0.0 : ($row > 0 ? $chunk->axis($axis)[$row - 1] : $chunk->before[$axis]);
                    $from[$name] = $axis === null ? 0.0 : ($before - $tipShifts[$states[$row]][$axis]) / $unit;
                }
                $centreFirst = ($chunk->arcFirst()[$i] - $tipShifts[$states[$row]][$machine->axisIndex[$names[0]]]) / $unit;
                $centreSecond = ($chunk->arcSecond()[$i] - $tipShifts[$states[$row]][$machine->axisIndex[$names[1]]]) / $unit;
                $radius = hypot($from[$names[0]] - $centreFirst, $from[$names[1]] - $centreSecond);
                $start = atan2($from[$names[1]] - $centreSecond, $from[$names[0]] - $centreFirst);
                $rise = $columns[$names[2]][$row] - $from[$names[2]];
                $chords = self::chords($radius * $unit, abs($sweep));
                for ($n = 1; $n < $chords; $n++) {
                    $share = $n / $chords;
                    $at = [
                        $names[0] => $centreFirst + $radius * cos($start + $sweep * $share),
                        $names[1] => $centreSecond + $radius * sin($start + $sweep * $share),
                        $names[2] => $from[$names[2]] + $rise * $share,
                    ];
                    $cornerX[] = $at['X'];
                    $cornerY[] = $at['Y'];
                    $cornerZ[] = $at['Z'];
                }
                $centre = [$names[0] => $centreFirst, $names[1] => $centreSecond, $names[2] => $from[$names[2]]];
                foreach ([$chunk->first + $row, $centre['X'], $centre['Y'], $centre['Z'], $radius, $chunk->arcSweep()[$i], ord($names[2]) - ord('X')] as $n => $value) {
                    $circles[array_keys($circles)[$n]][] = $value;
                }
            }
            $counts[] = $chords;
            $cornerX[] = $xs[$row];
            $cornerY[] = $ys[$row];
            $cornerZ[] = $zs[$row];
        }
        foreach (['corners' => $counts, 'cornerX' => $cornerX, 'cornerY' => $cornerY, 'cornerZ' => $cornerZ, ...$circles] as $name => $values) {
            $this->columns->add($name, $values);
        }
    }

    private function places(Chunk $chunk): void
    {
        $library = $this->trace->library;
        if (! $this->hasCalls) {
            $this->columns->add('line', array_map($library::lineNumber(...), $chunk->lines()));

            return;
        }
        $texts = array_map(static fn (array $other): Program => $other[1], $library->others());
        $lines = $numbers = $textLines = [];
        $known = [];
        foreach ($chunk->lines() as $place) {
            $known[$place] ??= [$library->mainLine($place), (int) array_search($library->textOf($place), [$library->main, ...$texts], true), $library::lineNumber($place)];
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
            $plane = $this->trace->states[$states[$row]]->plane;
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
                $centre = [$chunk->arcFirst()[$arcs[$row]], $chunk->arcSecond()[$arcs[$row]]];
                $start = atan2($this->programmedAt[$second] - $centre[1], $this->programmedAt[$first] - $centre[0]);
                $sweep = atan2($end[$second] - $centre[1], $end[$first] - $centre[0]) - $start;
                $clockwise = $chunk->arcSweep()[$arcs[$row]] < 0;
                $sweep += $clockwise && $sweep >= 0 ? -2 * M_PI : (! $clockwise && $sweep <= 0 ? 2 * M_PI : 0.0);
                $radius = hypot($this->programmedAt[$first] - $centre[0], $this->programmedAt[$second] - $centre[1]);
                $chords = self::chords($radius, abs($sweep));
                for ($n = 1; $n < $chords; $n++) {
                    $at = $end;
                    $at[$first] = $centre[0] + $radius * cos($start + $sweep * $n / $chords);
                    $at[$second] = $centre[1] + $radius * sin($start + $sweep * $n / $chords);
                    $corners[] = $this->tipOf($at, $tipShifts[$states[$row]], $unit);
                }
            }
            $corners[] = $this->tipOf($end, $tipShifts[$states[$row]], $unit);
            $this->programmedAt = $end;
        }
        foreach (['X', 'Y', 'Z'] as $n => $name) {
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
        foreach (['X', 'Y', 'Z'] as $name) {
            $axis = $this->setup->machine->axisIndex[$name] ?? null;
            $tip[] = $axis === null ? 0.0 : ($at[$axis] - $shift[$axis]) / $unit;
        }

        /** @var array{float, float, float} */
        return $tip;
    }

    /** Chords for an arc so that none stands off by more than CHORD_ERROR: its sagitta is r (1 - cos(a / 2)). */
    private static function chords(float $radius, float $sweep): int
    {
        $step = $radius <= self::CHORD_ERROR ? M_PI_2 : 2 * acos(1 - self::CHORD_ERROR / $radius);

        // A radius so large that its chords cannot be told from it needs no more than one.
        return (int) max(1, min(self::MOST_CHORDS, $step > 0.0 ? ceil($sweep / $step) : 1));
    }
}
