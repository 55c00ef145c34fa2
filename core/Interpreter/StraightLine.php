<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Language\LineReader;
use OakTrace\Core\Trace\Mark;

/**
 * The short way for the runs of blocks a long surface is made of: a G0 or G1, places and a feed, each number with its point, while
 * a straight line is or comes in force and nothing else bears on it. Anything else is left, untouched, to the long way, which
 * would have come to the same.
 */
final class StraightLine
{
    private readonly MotionRecorder $recorder;

    private readonly ModalState $modal;

    /** @var array<string, int> */
    private readonly array $axes;

    /** @var array<int, Code> */
    private readonly array $codes;

    /** @var array<string, array{axes: array<int, int>, seen: int, feed: int|null, code: int|null}|false> letters of a block => which of its numbers is what; false where it is left */
    private array $shapes = [];

    public function __construct(private readonly Context $context, private readonly Offsets $offsets, private readonly Coordinates $coordinates, private readonly MachineFunctions $functions)
    {
        $this->recorder = $context->recorder;
        $this->modal = $context->modal;
        $this->axes = $context->machine->axisIndex;
        $this->codes = $context->machine->control->gCodes;
    }

    /**
     * Goes on over the blocks ahead for as long as they are such: up to one it leaves, the end of a portion, or where a chunk
     * was packed.
     *
     * @param  int  $before  place in the library before the tape's first line
     * @return int how many it took
     */
    public function take(LineReader $reader, int $before): int
    {
        $plain = $reader->letters;
        $next = $reader->at();
        if (! isset($plain[$next])) {
            return 0;
        }
        $firsts = $reader->firsts;
        $numbers = $reader->numbers;
        $modal = $this->modal;
        $recorder = $this->recorder;
        if ($modal->cycle !== null || $this->coordinates->active || $recorder->cutter !== null || $modal->spindle->surfaceSpeed !== null) {
            return 0;
        }
        $absolute = $modal->modes->absolute;
        $scale = $this->context->scale;
        $shift = $this->offsets->shift;
        $motion = $modal->motionStated ? $modal->motion : null;
        $trace = $this->context->trace;
        $packed = $trace->packed;
        $place = $before + $reader->line + 1;
        $taken = 0;
        // Moves at feed under one state are gathered, axis by axis, and handed on together.
        $lines = [];
        $ends = $none = array_fill(0, count($scale), []);
        $from = $recorder->at;
        $room = $trace->makeRoom();
        $marks = $recorder->mayFeedAlong() ? $recorder->axisMarks : 0;
        while (isset($plain[$next])) {
            $shape = $this->shapes[$plain[$next]] ??= $this->shape($plain[$next]);
            if ($shape === false) {
                break;
            }
            $first = $firsts[$next++];
            $target = $from;
            $seen = $shape['seen'];
            foreach ($shape['axes'] as $at => $axis) {
                $target[$axis] = (float) $numbers[$first + $at] * $scale[$axis] + ($absolute ? $shift[$axis] : $target[$axis]);
            }
            $feed = $shape['feed'] === null ? null : (float) $numbers[$first + $shape['feed']];
            if ($shape['code'] !== null) {
                $motion = $this->codes[(int) $numbers[$first + $shape['code']] * 10] ?? null;
            }
            if ($motion !== Code::Feed && $motion !== Code::Rapid) {
                break;
            }
            $moved = $seen << Mark::AXES | ($absolute ? $seen : 0);
            if ($feed === null && $motion === $modal->motion && $motion === Code::Feed && ($moved & ~$marks) === 0) {
                // The blocks behind it mostly have the same words.
                $letters = $plain[$next - 1];
                $code = $shape['code'];
                $count = 1;
                while ($count < $room && ($plain[$next] ?? '') === $letters && ($code === null || $numbers[$firsts[$next] + $code] === $numbers[$first + $code])) {
                    $count++;
                    $next++;
                }
                $run = self::run($shape['axes'], $numbers, $first, strlen($letters), $count, $scale, $absolute ? $shift : null, $from);
                $rows = range($place + $taken, $place + $taken + $count - 1);
                $taken += $count;
                $moving = self::moving($run, $shape['axes'], $from, $count);
                if ($moving !== null) {
                    $rows = array_values(array_intersect_key($rows, $moving));
                    $run = array_map(static fn (array $column): array => array_values(array_intersect_key($column, $moving)), $run);
                }
                if ($rows !== []) {
                    $room -= count($rows);
                    $from = array_column($run, count($rows) - 1);
                    $ends = $lines === [] ? $run : array_map(array_merge(...), $ends, $run);
                    $lines = $lines === [] ? $rows : array_merge($lines, $rows);
                }
                if ($room === 0) {
                    break;
                }

                continue;
            }
            $recorder->feedAlong($lines, $ends);
            $lines = [];
            $ends = $none;
            $modal->motion = $motion;
            $modal->motionStated = true;
            $recorder->line = $place + $taken++;
            if ($feed !== null) {
                $this->functions->useFeed($feed);
            }
            if ($seen !== 0) {
                $recorder->axisMarks |= $moved;
                /** @var list<float> $target */
                $motion === Code::Feed ? $recorder->feed($target) : $recorder->rapid($target);
            }
            if ($trace->packed !== $packed) {
                break;
            }
            $from = $recorder->at;
            $room = $trace->makeRoom();
            $marks = $recorder->mayFeedAlong() ? $recorder->axisMarks : 0;
        }
        $recorder->feedAlong($lines, $ends);
        if ($taken > 0) {
            $reader->pass($taken);
            $recorder->line = $this->context->block->line = $place + $taken - 1;
            $this->context->blocks += $taken;
        }

        return $taken;
    }

    /**
     * Where the axes stand after each of some blocks that have the same words.
     *
     * @param  array<int, int>  $axes  place among a block's numbers => axis
     * @param  list<string>  $numbers
     * @param  int  $first  number of the first block
     * @param  int  $width  numbers of a block
     * @param  int  $count  blocks
     * @param  list<float>  $scale
     * @param  list<float>|null  $shift  null where the numbers are ways
     * @param  list<float>  $from
     * @return list<list<float>> of each axis
     */
    private static function run(array $axes, array $numbers, int $first, int $width, int $count, array $scale, ?array $shift, array $from): array
    {
        $run = [];
        foreach ($from as $axis => $at) {
            $run[] = in_array($axis, $axes, true) ? [] : array_fill(0, $count, $at);
        }
        $behind = $first + $count * $width;
        foreach ($axes as $at => $axis) {
            $column = [];
            $unit = $scale[$axis];
            if ($shift === null) {
                $to = $from[$axis];
                for ($i = $first + $at; $i < $behind; $i += $width) {
                    $column[] = $to = (float) $numbers[$i] * $unit + $to;
                }
            } else {
                $zero = $shift[$axis];
                for ($i = $first + $at; $i < $behind; $i += $width) {
                    $column[] = (float) $numbers[$i] * $unit + $zero;
                }
            }
            $run[$axis] = $column;
        }

        return $run;
    }

    /**
     * Which blocks of a run go anywhere.
     *
     * @param  list<list<float>>  $run
     * @param  array<int, int>  $axes  place among a block's numbers => axis
     * @param  list<float>  $from
     * @return array<int, true>|null  null where every one does
     */
    private static function moving(array $run, array $axes, array $from, int $count): ?array
    {
        // Mostly one axis goes somewhere in every block.
        foreach ($axes as $axis) {
            $was = $from[$axis];
            foreach ($run[$axis] as $to) {
                if ($to === $was) {
                    continue 2;
                }
                $was = $to;
            }

            return null;
        }
        $moving = [];
        for ($i = 0; $i < $count; $i++) {
            foreach ($axes as $axis) {
                if ($run[$axis][$i] !== ($i > 0 ? $run[$axis][$i - 1] : $from[$axis])) {
                    $moving[$i] = true;
                }
            }
        }

        return $moving;
    }

    /** @return array{axes: array<int, int>, seen: int, feed: int|null, code: int|null}|false */
    private function shape(string $letters): array|false
    {
        $shape = ['axes' => [], 'seen' => 0, 'feed' => null, 'code' => null];
        foreach (str_split($letters) as $at => $letter) {
            $axis = $this->axes[$letter] ?? null;
            if ($axis !== null && ($shape['seen'] & 1 << $axis) === 0) {
                $shape['seen'] |= 1 << $axis;
                $shape['axes'][$at] = $axis;
            } elseif ($letter === 'F' && $shape['feed'] === null) {
                $shape['feed'] = $at;
            } elseif ($letter === 'G') {
                $shape['code'] = $at;
            } elseif ($letter !== 'N') {
                return false;
            }
        }

        return $shape;
    }
}
