<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\SourceMap;

/**
 * What the margin of the listing shows: for every line that moves, the height it leaves the tool at, how low it went, the tool
 * and the time. One value a line, from line 0, which is none; heights in the coordinates of the work offset in force with
 * the length offset taken off.
 */
final class LineHeights implements ChunkReader
{
    /** The line moves. */
    public const MOVES = 1;

    /** It cuts: it moves at feed. */
    public const CUTS = 2;

    /** It ends in a move in machine coordinates. */
    public const HOME = 4;

    /** The length offset of its tool has been stated. */
    public const KNOWN = 8;

    /** @var array<int, float> mm */
    public array $z;

    /** @var array<int, float> mm */
    public array $lowest;

    /** @var array<int, int> */
    public array $tool;

    /** @var array<int, int> bits */
    public array $marks;

    /** @var array<int, float> of all that the line does, what it calls with it */
    public array $seconds;

    private ?int $lastPlace = null;

    private ?int $line = null;

    /**
     * @param  int|null  $axis  column of the axis heights are measured on; null where the machine has none
     * @param  array<string, int>  $axisIndex  columns of the axes
     * @param  Program  $text  the text whose lines are asked for; what a line calls counts as its own
     */
    public function __construct(
        private readonly SourceMap $sources, private readonly ?int $axis, private readonly Program $text, private readonly array $axisIndex = [],
    ) {
        $lines = $text->lineCount() + 1;
        $this->z = $this->lowest = $this->seconds = array_fill(0, $lines, 0.0);
        $this->tool = $this->marks = array_fill(0, $lines, 0);
    }

    /**
     * Of a trace that is timed already.
     *
     * @param  array<string, int>  $axisIndex
     */
    public static function of(Trace $trace, ?int $axis, Program $text, array $axisIndex = []): self
    {
        $heights = new self($trace->sources, $axis, $text, $axisIndex);
        $trace->show($heights);

        return $heights;
    }

    /** @param  Chunk  $chunk  timed already */
    public function read(Chunk $chunk, array $states, array $details): void
    {
        [$axis, $line, $lastPlace] = [$this->axis, $this->line, $this->lastPlace];
        $kinds = $chunk->kinds();
        $numbers = $chunk->states();
        $rowMarks = $chunk->marks();
        $seconds = $chunk->seconds();
        $heights = $axis === null ? [] : $chunk->axis($axis);
        $name = array_search($axis, $this->axisIndex, true);
        $lows = $axis === null || ! is_string($name) ? $heights : ArcBounds::lowest($chunk, $states, $this->axisIndex, $name);
        $lastState = -1;
        $shift = 0.0;
        $number = $known = 0;
        foreach ($chunk->lines() as $row => $place) {
            if ($place !== $lastPlace) {
                $lastPlace = $place;
                $line = $this->sources->lineIn($this->text, $place);
            }
            if ($line === null) {
                continue;
            }
            $this->seconds[$line] += $seconds[$row] ?? 0.0;
            if ($kinds[$row] > MotionKind::ARC || $axis === null) {
                continue;
            }
            if ($numbers[$row] !== $lastState) {
                $lastState = $numbers[$row];
                $state = $states[$lastState];
                $shift = $state->shift($axis);
                $number = $state->tool;
                $known = $state->length->sinceToolChange || $number === 0 ? self::KNOWN : 0;
            }
            $height = $heights[$row] - $shift;
            $before = $this->marks[$line];
            $this->z[$line] = $height;
            $low = $lows[$row] - $shift;
            if ($before === 0 || $low < $this->lowest[$line]) {
                $this->lowest[$line] = $low;
            }
            $this->tool[$line] = $number;
            $this->marks[$line] = self::MOVES | ($before & self::CUTS) | ($kinds[$row] !== MotionKind::RAPID ? self::CUTS : 0)
                | (($rowMarks[$row] & Mark::MACHINE) !== 0 ? self::HOME : 0) | $known;
        }
        [$this->line, $this->lastPlace] = [$line, $lastPlace];
    }
}
