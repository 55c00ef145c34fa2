<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

/**
 * The timers of the control, which a program sets and looks at (common practice: one counts milliseconds, the next hours). How long a
 * machine takes between two looks is not known; every look, those of the watch over loops too, is taken to come a tenth of a second
 * behind the last, so that a wait ends.
 */
final class Timers
{
    private const BETWEEN_SECONDS = 0.1;

    /** Seconds in one of what each counts. */
    private const UNITS = [0.001, 3600.0];

    /** @var array<int, float> seconds */
    private array $seconds = [0.0, 0.0];

    /** @param  int  $timer  which of them, from 0 */
    public function look(int $timer): float
    {
        $this->seconds[$timer] += self::BETWEEN_SECONDS;

        return $this->seconds[$timer] / self::UNITS[$timer];
    }

    public function set(int $timer, float $value): void
    {
        $this->seconds[$timer] = $value * self::UNITS[$timer];
    }

    public function fingerprint(): string
    {
        return serialize($this->seconds);
    }
}
