<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A line and an arc, or two arcs, that meet nearly but not quite without a corner: a figure was rounded, or is a little wrong. */
final class AlmostTangent extends MillCheck
{
    /** Degrees: less is rounding, more is a corner. */
    private const LEAST = 0.2;

    private const MOST = 3.0;

    /** Moves shorter than this have no direction to speak of, mm. */
    private const SHORT = 0.2;

    /** Rows of a run up to which it is worth looking: a longer one was not reckoned by hand. */
    private const ROWS = 20_000;

    public function name(): string
    {
        return 'geometry.almost-tangent';
    }

    public function why(): string
    {
        return 'A corner this slight is a rounding or a typing error. It shows as a mark in the wall.';
    }

    public function examine(CheckInput $input): iterable
    {
        $found = [];
        foreach ($input->trace->rows() > self::ROWS ? [] : $input->trace->chunks() as $chunk) {
            foreach ($this->joints($input, $chunk) as [$line, $angle]) {
                $found[$line] ??= $angle;
            }
        }
        if ($found !== []) {
            $line = array_key_first($found);
            yield new Finding(
                $this->name(), Severity::Note, $line, 1, 'It meets the move before it {angle} off tangent.', ['angle' => Quantity::angle($found[$line])],
                'If the drawing has no corner there, one of the two has a wrong value.', array_slice(array_keys($found), 1),
            );
        }
    }

    /** @return iterable<array{int, float}> place of the second of two moves, and the angle between them, degrees */
    private function joints(CheckInput $input, Chunk $chunk): iterable
    {
        $arcs = array_flip($chunk->arcRows());
        $before = null;
        foreach ($arcs === [] ? [] : $chunk->kinds() as $row => $kind) {
            $move = $kind === MotionKind::FEED || $kind === MotionKind::ARC ? $this->directions($input, $chunk, $row, $arcs[$row] ?? null) : null;
            if ($move !== null && $before !== null && ($kind === MotionKind::ARC || $before[2])) {
                $turn = abs(fmod($move[0] - $before[1] + 540.0, 360.0) - 180.0);
                if ($turn >= self::LEAST && $turn <= self::MOST) {
                    yield [$chunk->lines()[$row], $turn];
                }
            }
            $before = $move;
        }
    }

    /**
     * Which way a level move sets out and arrives, degrees, and whether it is an arc; null where it is not level, too short, or the path
     * of the tool beside a programmed one.
     *
     * @return array{float, float, bool}|null
     */
    private function directions(CheckInput $input, Chunk $chunk, int $row, ?int $arc): ?array
    {
        $axes = $input->setup->machine->linearColumns();
        $state = $input->trace->states[$chunk->states()[$row]];
        if (
            ($chunk->marks()[$row] & Mark::COMPENSATED) !== 0 || $state->modes->plane->normal() !== AxisName::Z || $axes === null
            || ($chunk->lengths()[$row] ?? 0.0) < self::SHORT
        ) {
            return null;
        }
        [$from, $to] = [$chunk->pointBefore($row, $axes), $chunk->pointBefore($row + 1, $axes)];
        if (abs($to->z - $from->z) > 1e-6) {
            return null;
        }
        if ($arc === null) {
            $way = rad2deg(atan2($to->y - $from->y, $to->x - $from->x));

            return [$way, $way, false];
        }
        [$x, $y, $square] = [$chunk->arcFirst()[$arc], $chunk->arcSecond()[$arc], $chunk->arcSweep()[$arc] < 0 ? -90.0 : 90.0];

        return [rad2deg(atan2($from->y - $y, $from->x - $x)) + $square, rad2deg(atan2($to->y - $y, $to->x - $x)) + $square, true];
    }
}
