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

    /**
     * @var array<string, array{axes: array<int, int>, seen: int, feed: int|null, code: int|null}|false> letters of a block => which of
     *      its numbers is what; false where it is left
     */
    private array $shapes = [];

    public function __construct(
        private readonly Context $context, private readonly Offsets $offsets, private readonly Coordinates $coordinates,
        private readonly MachineFunctions $functions, private readonly Motions $motions,
    ) {
        $this->recorder = $context->recorder;
        $this->modal = $context->modal;
        // The word of an axis that is moved by hand is none of the control's.
        $this->axes = array_diff_key($context->machine->axisIndex, $context->machine->isLengthByHand() ? [$context->machine->lengthAxis() => 0] : []);
        $this->codes = $context->machine->control->gCodes;
    }

    /**
     * Goes on over the blocks ahead for as long as they are such: up to one it leaves, the end of a section, or where a chunk
     * was packed.
     *
     * @param  int  $before  place in the sources before the reader's first line
     * @return int how many it took
     */
    public function take(LineReader $reader, int $before): int
    {
        $next = $reader->at();
        if (! isset($reader->letters[$next]) || ! $this->isPlain()) {
            return 0;
        }
        $trace = $this->context->trace;
        $packed = $trace->packed;
        $place = $before + $reader->line + 1;
        $taken = 0;
        $motion = $this->modal->motionStated ? $this->modal->motion : null;
        $feeds = new GatheredFeeds($this->recorder, $trace, count($this->context->scale));
        $letters = $reader->letters;
        while ($feeds->room > 0 && $trace->packed === $packed && isset($letters[$next])) {
            $shape = $this->shapes[$letters[$next]] ??= $this->shape($letters[$next]);
            if ($shape === false) {
                break;
            }
            $first = $reader->firsts[$next];
            if ($shape['code'] !== null) {
                $motion = $this->codes[(int) $reader->numbers[$first + $shape['code']] * 10] ?? null;
            }
            if ($motion !== Code::Feed && $motion !== Code::Rapid) {
                break;
            }
            if (
                $motion === Code::Feed && $this->modal->motion === Code::Feed && $shape['feed'] === null
                && ($this->marks($shape['seen']) & ~$feeds->marks) === 0
            ) {
                $count = self::alike($reader, $next, $shape['code'], $feeds->room);
                $this->gather($feeds, $shape['axes'], $reader, $first, strlen($letters[$next]), $count, $place + $taken);
            } else {
                $count = 1;
                $feeds->write();
                $this->block($shape, $motion, $reader->numbers, $first, $place + $taken, $feeds->from);
                $feeds->open($trace->packed === $packed);
            }
            $next += $count;
            $taken += $count;
        }
        $feeds->write();
        if ($taken > 0) {
            $reader->pass($taken);
            $this->recorder->line = $this->context->block->line = $place + $taken - 1;
            $this->context->blocks += $taken;
        }

        return $taken;
    }

    /** Whether nothing is in force that makes more of a place than a straight move. */
    private function isPlain(): bool
    {
        return $this->modal->cycle === null && ! $this->coordinates->active && $this->recorder->cutter === null && ! $this->recorder->holds()
            && ! $this->motions->waits() && array_filter($this->offsets->pending) === [];
    }

    /**
     * Marks a move leaves on its axes.
     *
     * @param  int  $seen  bits of the axes it names
     */
    private function marks(int $seen): int
    {
        return $seen << Mark::AXES | ($this->modal->modes->absolute ? $seen : 0);
    }

    /** How many blocks from one on have the same words, and the same code in the same place: the blocks behind a block mostly do. */
    private static function alike(LineReader $reader, int $at, ?int $code, int $most): int
    {
        $letters = $reader->letters;
        $firsts = $reader->firsts;
        $numbers = $reader->numbers;
        $same = $letters[$at];
        $written = $code === null ? '' : $numbers[$firsts[$at] + $code];
        $end = $at + $most;
        $next = $at + 1;
        while ($next < $end && ($letters[$next] ?? '') === $same && ($code === null || $numbers[$firsts[$next] + $code] === $written)) {
            $next++;
        }

        return $next - $at;
    }

    /**
     * Blocks of the same words, each a move at the feed in force.
     *
     * @param  array<int, int>  $axes  place among a block's numbers => axis
     */
    private function gather(GatheredFeeds $feeds, array $axes, LineReader $reader, int $first, int $width, int $count, int $place): void
    {
        $run = self::run(
            $axes, $reader->numbers, $first, $width, $count, $this->context->scale, $this->modal->modes->absolute ? $this->offsets->shift : null,
            $feeds->from,
        );
        $rows = range($place, $place + $count - 1);
        $moving = self::moving($run, $axes, $feeds->from, $count);
        if ($moving !== null) {
            $rows = array_values(array_intersect_key($rows, $moving));
            $run = array_map(static fn (array $column): array => array_values(array_intersect_key($column, $moving)), $run);
        }
        if ($rows !== []) {
            $feeds->add($rows, $run);
        }
    }

    /**
     * One block with a feed or a code of its own, or a rapid.
     *
     * @param  array{axes: array<int, int>, seen: int, feed: int|null, code: int|null}  $shape
     * @param  list<string>  $numbers
     * @param  list<float>  $from
     */
    private function block(array $shape, Code $motion, array $numbers, int $first, int $place, array $from): void
    {
        $isAbsolute = $this->modal->modes->absolute;
        $target = $from;
        foreach ($shape['axes'] as $at => $axis) {
            $target[$axis] = (float) $numbers[$first + $at] * $this->context->scale[$axis] + ($isAbsolute ? $this->offsets->shift[$axis] : $target[$axis]);
        }
        $this->modal->motion = $motion;
        $this->modal->motionStated = true;
        $this->recorder->line = $place;
        if ($shape['feed'] !== null) {
            $this->functions->useFeed((float) $numbers[$first + $shape['feed']]);
        }
        if ($shape['seen'] !== 0) {
            $this->recorder->axisMarks |= $this->marks($shape['seen']);
            /** @var list<float> $target */
            $motion === Code::Feed ? $this->recorder->feed($target) : $this->recorder->rapid($target);
        }
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
