<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Trace\Mark;

/**
 * The short way for the blocks a long surface is made of: a G0 or G1, places and a feed, each number with its point, while
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

    /** @param  string  $text  a block that matches BlockReader::PLAIN */
    public function take(int $place, string $text): bool
    {
        $modal = $this->modal;
        $mover = $this->mover;
        if ($modal->cycle !== null || $this->coordinates->active || $mover->cutter !== null || $modal->surfaceSpeed !== null) {
            return false;
        }
        $absolute = $modal->absolute;
        $scale = $this->context->scale;
        $shift = $this->offsets->shift;
        $target = $mover->at;
        $seen = 0;
        $feed = null;
        $motion = $modal->motionStated ? $modal->motion : null;
        $length = strlen($text);
        for ($at = 0; $at < $length; $at += 1 + strspn($text, '0123456789.-+', $at + 1)) {
            $letter = $text[$at];
            $axis = $this->axes[$letter] ?? -1;
            if ($axis >= 0) {
                $bit = 1 << $axis;
                if (($seen & $bit) !== 0) {
                    return false;
                }
                $seen |= $bit;
                $value = (float) substr($text, $at + 1, 21) * $scale[$axis];
                $target[$axis] = $value + ($absolute ? $shift[$axis] : $target[$axis]);
            } elseif ($letter === 'F' && $feed === null) {
                $feed = (float) substr($text, $at + 1, 21);
            } elseif ($letter === 'G') {
                $motion = $this->codes[(int) substr($text, $at + 1, 2) * 10] ?? null;
            } elseif ($letter !== 'N') {
                return false;
            }
        }
        if ($motion !== Code::Feed && $motion !== Code::Rapid) {
            return false;
        }
        $modal->motion = $motion;
        $modal->motionStated = true;
        $mover->line = $this->context->block->line = $place;
        if ($feed !== null) {
            $this->functions->useFeed($feed);
        }
        if ($seen !== 0) {
            $mover->axisMarks |= $seen << Mark::AXES | ($absolute ? $seen : 0);
            /** @var list<float> $target */
            $motion === Code::Feed ? $mover->feed($target) : $mover->rapid($target);
        }

        return true;
    }
}
