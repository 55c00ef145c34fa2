<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Kinematics\Tip;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Trace;

/**
 * A trace as columns of bytes for drawing and for the position display; little-endian, lengths in the setup's units.
 *
 * One value a row: line (u32, of the program itself), text (u8: 0 the program itself, 1 and on the texts it called, in the order
 * of Library::others()), textLine (u32, line in that text), kind (u8), state (u32), endSeconds (f64, since the start), feed (f64), x y z (f64, the
 * tip in the coordinates of the stock), shownX… (f64, as the control shows it), machineX… (f64).
 * One value a corner of the drawn path, arcs broken into chords: cornerRow (u32), cornerX cornerY cornerZ (f32). The
 * first corner of a row continues from the last corner of the row before it.
 * One value a corner of the path as programmed, where compensation runs beside it: programmedX programmedY programmedZ (f32);
 * not a number before the first corner of each stretch.
 */
final class DrawingColumns
{
    /** How far a chord may stand off its arc, mm. */
    private const CHORD_ERROR = 0.01;

    private const MOST_CHORDS = 180;

    /** @var array<string, string> */
    private array $bytes = [];

    private float $elapsed = 0.0;

    /** @var array<int, float> programmed end of the compensated move before */
    private array $programmedAt = [];

    private function __construct(private readonly Trace $trace, private readonly Setup $setup, private readonly Tip $tip)
    {
    }

    /**
     * @return array<string, string> column => bytes
     */
    public static function of(Trace $trace, Setup $setup): array
    {
        $columns = new self($trace, $setup, Tip::inPart($setup));
        $names = ['line', 'text', 'textLine', 'programmedX', 'programmedY', 'programmedZ', 'kind', 'state', 'endSeconds', 'feed', 'cornerRow', 'cornerX', 'cornerY', 'cornerZ', 'x', 'y', 'z'];
        foreach ($setup->machine->axisNames as $name) {
            $names[] = 'shown'.$name;
            $names[] = 'machine'.$name;
        }
        $columns->bytes = array_fill_keys($names, '');
        foreach ($trace->chunks() as $chunk) {
            $columns->take($chunk);
        }

        return $columns->bytes;
    }

    private function take(Chunk $chunk): void
    {
        $machine = $this->setup->machine;
        $unit = $this->setup->units->millimetres();
        $states = $chunk->states();
        $tipShifts = $shownShifts = [];
        foreach (array_unique($states) as $number) {
            $state = $this->trace->states[$number];
            $tipShifts[$number] = $this->tip->shift($state);
            $shownShifts[$number] = array_map($state->shift(...), array_keys($machine->axisNames));
        }
        $part = ['X' => [], 'Y' => [], 'Z' => []];
        foreach ($machine->axisNames as $axis => $name) {
            $factor = $machine->axes[$name]->isRotary() ? 1.0 : $unit;
            $shown = $at = [];
            foreach ($chunk->axis($axis) as $row => $position) {
                $at[] = $position / $factor;
                $shown[] = ($position - $shownShifts[$states[$row]][$axis]) / $factor;
                if (isset($part[$name])) {
                    $part[$name][] = ($position - $tipShifts[$states[$row]][$axis]) / $factor;
                }
            }
            $this->append('machine'.$name, 'e*', $at);
            $this->append('shown'.$name, 'e*', $shown);
        }
        $zeros = array_fill(0, $chunk->count, 0.0);
        $part = array_map(static fn (array $column): array => $column === [] ? $zeros : $column, $part);
        $ends = [];
        foreach ($chunk->seconds() as $seconds) {
            $ends[] = $this->elapsed += $seconds;
        }
        $this->places($chunk);
        $this->programmed($chunk, $tipShifts, $unit);
        $this->append('kind', 'C*', $chunk->kinds());
        $this->append('state', 'V*', $states);
        $this->append('endSeconds', 'e*', $ends);
        $this->append('feed', 'e*', array_map(static fn (float $feed): float => $feed / $unit, $chunk->feeds()));
        $this->append('x', 'e*', $part['X']);
        $this->append('y', 'e*', $part['Y']);
        $this->append('z', 'e*', $part['Z']);
        $this->corners($chunk, $part['X'], $part['Y'], $part['Z'], $tipShifts, $unit);
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
        $rows = $cornerX = $cornerY = $cornerZ = [];
        foreach ($chunk->kinds() as $row => $kind) {
            if ($kind > MotionKind::ARC) {
                continue;
            }
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
                    $rows[] = $chunk->first + $row;
                    $cornerX[] = $at['X'];
                    $cornerY[] = $at['Y'];
                    $cornerZ[] = $at['Z'];
                }
            }
            $rows[] = $chunk->first + $row;
            $cornerX[] = $xs[$row];
            $cornerY[] = $ys[$row];
            $cornerZ[] = $zs[$row];
        }
        $this->append('cornerRow', 'V*', $rows);
        $this->append('cornerX', 'g*', $cornerX);
        $this->append('cornerY', 'g*', $cornerY);
        $this->append('cornerZ', 'g*', $cornerZ);
    }

    private function places(Chunk $chunk): void
    {
        $library = $this->trace->library;
        $texts = array_map(static fn (array $other): Program => $other[1], $library->others());
        $lines = $numbers = $textLines = [];
        $known = [];
        foreach ($chunk->lines() as $place) {
            $known[$place] ??= [$library->mainLine($place), (int) array_search($library->textOf($place), [$library->main, ...$texts], true), $library::lineNumber($place)];
            [$lines[], $numbers[], $textLines[]] = $known[$place];
        }
        $this->append('line', 'V*', $lines);
        $this->append('text', 'C*', $numbers);
        $this->append('textLine', 'V*', $textLines);
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
            $this->append('programmed'.$name, 'g*', array_column($corners, $n));
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

    /** @param  list<float>|list<int>  $values */
    private function append(string $column, string $format, array $values): void
    {
        $this->bytes[$column] .= pack($format, ...$values);
    }
}
