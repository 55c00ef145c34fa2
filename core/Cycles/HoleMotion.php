<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles;

/** What a canned cycle may do at a hole: move along the normal axis and wait. */
interface HoleMotion
{
    public function rapidTo(float $level): void;

    public function feedTo(float $level): void;

    public function dwell(float $seconds): void;
}
