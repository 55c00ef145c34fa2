<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Language\Tape;
use OakTrace\Core\Trace\Mark;

/**
 * The short way for the runs of blocks a long surface is made of: a G0 or G1, places and a feed, each number with its point, while
 * a straight line is or comes in force and nothing else bears on it. Anything else is left, untouched, to the long way, which
 * would have come to the same.
 */
final readonly class StraightLine
{
    private Mover $mover;

    private ModalState $modal;

    /** @var array<string, int> */
    private array $axes;

    /** @var array<int, Code> */
    private array $codes;

    public function __construct(private Context $context, private Offsets $offsets, private Coordinates $coordinates, private MachineFunctions $functions)
    {
        $this->mover = $context->mover;
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
    public function take(Tape $tape, int $before): int
    {
        $plain = $tape->plain();
        $next = $tape->at();
        if (! isset($plain[$next])) {
            return 0;
        }
        $modal = $this->modal;
        $mover = $this->mover;
        if ($modal->cycle !== null || $this->coordinates->active || $mover->cutter !== null || $modal->surfaceSpeed !== null) {
            return 0;
        }
        $axes = $this->axes;
        $absolute = $modal->absolute;
        $scale = $this->context->scale;
        $shift = $this->offsets->shift;
        $motion = $modal->motionStated ? $modal->motion : null;
        $trace = $this->context->trace;
        $packed = $trace->packed;
        $place = $before + $tape->line + 1;
        $taken = 0;
        // Moves at feed under one state are gathered and handed on together.
        $lines = $ends = [];
        $from = $mover->at;
        $room = $trace->makeRoom();
        $marks = $mover->mayFeedAlong() ? $mover->axisMarks : 0;
        while (isset($plain[$next])) {
            $text = $plain[$next++];
            $target = $from;
            $seen = 0;
            $feed = null;
            $length = strlen($text);
            for ($at = 0; $at < $length; $at += 1 + strspn($text, '0123456789.-+', $at + 1)) {
                $letter = $text[$at];
                $axis = $axes[$letter] ?? -1;
                if ($axis >= 0) {
                    $bit = 1 << $axis;
                    if (($seen & $bit) !== 0) {
                        break 2;
                    }
                    $seen |= $bit;
                    $value = (float) substr($text, $at + 1, 21) * $scale[$axis];
                    $target[$axis] = $value + ($absolute ? $shift[$axis] : $target[$axis]);
                } elseif ($letter === 'F' && $feed === null) {
                    $feed = (float) substr($text, $at + 1, 21);
                } elseif ($letter === 'G') {
                    $motion = $this->codes[(int) substr($text, $at + 1, 2) * 10] ?? null;
                } elseif ($letter !== 'N') {
                    break 2;
                }
            }
            if ($motion !== Code::Feed && $motion !== Code::Rapid) {
                break;
            }
            $moved = $seen << Mark::AXES | ($absolute ? $seen : 0);
            if ($feed === null && $motion === $modal->motion && $motion === Code::Feed && ($moved & ~$marks) === 0) {
                if ($target !== $from) {
                    $lines[] = $place + $taken;
                    /** @var list<float> $target */
                    $ends[] = $from = $target;
                    $room--;
                }
                $taken++;
                if ($room === 0) {
                    break;
                }

                continue;
            }
            $mover->feedAlong($lines, $ends);
            $lines = $ends = [];
            $modal->motion = $motion;
            $modal->motionStated = true;
            $mover->line = $place + $taken++;
            if ($feed !== null) {
                $this->functions->useFeed($feed);
            }
            if ($seen !== 0) {
                $mover->axisMarks |= $moved;
                /** @var list<float> $target */
                $motion === Code::Feed ? $mover->feed($target) : $mover->rapid($target);
            }
            if ($trace->packed !== $packed) {
                break;
            }
            $from = $mover->at;
            $room = $trace->makeRoom();
            $marks = $mover->mayFeedAlong() ? $mover->axisMarks : 0;
        }
        $mover->feedAlong($lines, $ends);
        if ($taken > 0) {
            $tape->pass($taken);
            $mover->line = $this->context->block->line = $place + $taken - 1;
            $this->context->blocks += $taken;
        }

        return $taken;
    }
}
