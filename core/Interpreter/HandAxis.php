<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Trace\Mark;

/**
 * The axis along the tool where somebody moves it by hand: at a program stop it goes to the height the message beside the stop says,
 * (Z -5.000, 2 OF 3), or down and up again, (Z -12.000 AND UP). Without such a message it stays.
 */
final class HandAxis
{
    private const MESSAGE = '/\(\s*Z\s*([-+]?(?:\d+\.?\d*|\.\d+))(?:\s*(?:MM|IN))?\s*(AND UP)?\b[^)]*\)/i';

    /** Above the stock it is lowered quickly, mm. */
    private const CLEARANCE = 2.0;

    /** A quill is pulled down about so fast, mm/min (common practice). */
    private const FEED = 100.0;

    public function __construct(private readonly Context $context, private readonly Offsets $offsets)
    {
    }

    public function follow(): void
    {
        $machine = $this->context->machine;
        $name = $machine->lengthAxis();
        $axis = $machine->axisIndex[$name] ?? null;
        if ($axis === null || ! $machine->isLengthByHand()) {
            return;
        }
        [$height, $isUpAgain] = $this->said() ?? [null, false];
        if ($height === null) {
            return;
        }
        $recorder = $this->context->recorder;
        // The scale is zeroed with the tool on the part: no length offset stands between.
        $this->offsets->useLengthByHand();
        $recorder->axisMarks |= Mark::tied($axis) | Mark::touched($axis);
        $from = $recorder->at;
        $this->goTo($axis, $this->offsets->shift[$axis] + $height * $this->context->unit);
        if ($isUpAgain) {
            if ($from[$axis] >= ($machine->axes[$name]->max ?? INF) - 1e-6) {
                // Right up is where it stands when nothing is cut, and no limit it runs to.
                $recorder->leaveWorkOffset($axis);
            }
            $recorder->rapid($from, Mark::BY_HAND);
        }
    }

    /** Quickly through the air above the stock, slowly from there. */
    private function goTo(int $axis, float $to): void
    {
        $recorder = $this->context->recorder;
        $stock = $this->context->setup->workpiece->stock;
        $clear = $stock === null ? $to : max($to, $this->offsets->shift[$axis] + $stock->around->high->z + self::CLEARANCE);
        $target = $recorder->at;
        if ($recorder->at[$axis] > $clear || $to > $recorder->at[$axis]) {
            $target[$axis] = $to > $recorder->at[$axis] ? $to : $clear;
            /** @var list<float> $target */
            $recorder->rapid($target);
        }
        $target[$axis] = $to;
        $feed = $this->context->modal->feed;
        $this->context->modal->feed = self::FEED;
        /** @var list<float> $target */
        $recorder->feed($target, Mark::BY_HAND);
        $this->context->modal->feed = $feed;
    }

    /** @return array{float, bool}|null the height a message says, on the line of the stop or the one before, and whether it is left at once */
    private function said(): ?array
    {
        $place = $this->context->recorder->line;
        $sources = $this->context->sources;
        foreach ([$place, $sources->before($place)] as $at) {
            if (preg_match(self::MESSAGE, $sources->text($at), $found) === 1) {
                return [(float) $found[1], ($found[2] ?? '') !== ''];
            }
        }

        return null;
    }
}
