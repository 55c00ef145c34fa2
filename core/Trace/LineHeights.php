<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Language\Program;

/**
 * What the margin of the listing shows: for every line that moves, the height it leaves the tool at, how low it went, the tool
 * and the time. One value a line, from line 0, which is none; heights in the coordinates of the work offset in force with
 * the length offset taken off.
 */
final class LineHeights
{
    /** The line moves. */
    public const MOVES = 1;

    /** It cuts: it moves at feed. */
    public const CUTS = 2;

    /** It ends in a move in machine coordinates. */
    public const HOME = 4;

    /** The length offset of its tool has been stated. */
    public const KNOWN = 8;

    /**
     * @param  array<int, float>  $z  mm
     * @param  array<int, float>  $lowest  mm
     * @param  array<int, int>  $tool
     * @param  array<int, int>  $marks  bits
     * @param  array<int, float>  $seconds  of all that the line does, what it calls with it
     */
    private function __construct(public readonly array $z, public readonly array $lowest, public readonly array $tool, public readonly array $marks, public readonly array $seconds)
    {
    }

    /**
     * @param  int|null  $axis  column of the axis heights are measured on; null where the machine has none
     * @param  Program  $text  the text whose lines are asked for; what a line calls counts as its own
     */
    public static function of(Trace $trace, ?int $axis, Program $text): self
    {
        $lines = $text->lineCount() + 1;
        $z = $lowest = $spent = array_fill(0, $lines, 0.0);
        $tool = $bits = array_fill(0, $lines, 0);
        $lastPlace = $line = null;
        foreach ($trace->chunks() as $chunk) {
            $kinds = $chunk->kinds();
            $states = $chunk->states();
            $marks = $chunk->marks();
            $seconds = $chunk->seconds();
            $heights = $axis === null ? [] : $chunk->axis($axis);
            $lastState = -1;
            $shift = 0.0;
            $number = $known = 0;
            foreach ($chunk->lines() as $row => $place) {
                if ($place !== $lastPlace) {
                    $lastPlace = $place;
                    $line = $trace->library->lineIn($text, $place);
                }
                if ($line === null) {
                    continue;
                }
                $spent[$line] += $seconds[$row] ?? 0.0;
                if ($kinds[$row] > MotionKind::ARC || $axis === null) {
                    continue;
                }
                if ($states[$row] !== $lastState) {
                    $lastState = $states[$row];
                    $state = $trace->states[$lastState];
                    $shift = $state->shift($axis);
                    $number = $state->tool;
                    $known = $state->lengthSinceToolChange || $number === 0 ? self::KNOWN : 0;
                }
                $height = $heights[$row] - $shift;
                $before = $bits[$line];
                $z[$line] = $height;
                if ($before === 0 || $height < $lowest[$line]) {
                    $lowest[$line] = $height;
                }
                $tool[$line] = $number;
                $bits[$line] = self::MOVES | ($before & self::CUTS) | ($kinds[$row] !== MotionKind::RAPID ? self::CUTS : 0)
                    | (($marks[$row] & Mark::MACHINE) !== 0 ? self::HOME : 0) | $known;
            }
        }

        return new self($z, $lowest, $tool, $bits, $spent);
    }
}
