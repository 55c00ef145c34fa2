<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Holes;

/** What a canned cycle may do at a hole: move along the normal axis, wait, and turn or place the spindle. */
interface HoleMotion
{
    public function rapidTo(float $level): void;

    public function feedTo(float $level): void;

    public function dwell(float $seconds): void;

    /** Stops the spindle; where the cycle goes on to step aside, it stops oriented. */
    public function stopSpindle(): void;

    /** @param  int  $sense 1 as it turned when the hole was begun, -1 the other way */
    public function turnSpindle(int $sense): void;

    /** Moves the oriented tool aside on the plane's axes by Q, or by I and J; or back again. */
    public function stepAside(bool $back): void;

    /** Waits while somebody draws the tool out by hand. */
    public function waitForHand(): void;
}
