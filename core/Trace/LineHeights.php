<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Language\Program;

/** What the margin of the listing shows: for every line that moves, the height it leaves the tool at, and the tool. */
final class LineHeights
{
    /**
     * Heights are in the coordinates of the work offset in force, with the length offset taken off, mm.
     *
     * @param  int  $axis  column of the axis heights are measured on
     * @param  Program  $text  the text whose lines are asked for; what a line calls counts as its own
     * @return array<int, array{z: float, lowest: float, tool: int, cuts: bool, home: bool, known: bool}> by line, in order of running
     */
    public static function of(Trace $trace, int $axis, Program $text): array
    {
        $lines = [];
        $lastPlace = $line = null;
        foreach ($trace->chunks() as $chunk) {
            $kinds = $chunk->kinds();
            $states = $chunk->states();
            $marks = $chunk->marks();
            $heights = $chunk->axis($axis);
            foreach ($chunk->lines() as $row => $place) {
                if ($kinds[$row] > MotionKind::ARC) {
                    continue;
                }
                if ($place !== $lastPlace) {
                    $lastPlace = $place;
                    $line = $trace->library->lineIn($text, $place);
                }
                if ($line === null) {
                    continue;
                }
                $state = $trace->states[$states[$row]];
                $z = $heights[$row] - $state->shift($axis);
                $cuts = $kinds[$row] !== MotionKind::RAPID;
                $known = $lines[$line] ?? null;
                $lines[$line] = [
                    'z' => $z,
                    'lowest' => $known === null ? $z : min($z, $known['lowest']),
                    'tool' => $state->tool,
                    'cuts' => $cuts || ($known['cuts'] ?? false),
                    'home' => ($marks[$row] & Mark::MACHINE) !== 0,
                    'known' => $state->lengthSinceToolChange || $state->tool === 0,
                ];
            }
        }

        return $lines;
    }
}
