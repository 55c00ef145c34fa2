<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

/** One outline under compensation, and how much of it leaves a thin strip of the stock on the other side of its line. */
final class StripOutline
{
    /** Place of the first move along a strip; 0 while there is none. */
    public int $line = 0;

    /** Place of the last move. */
    public int $last = 0;

    /** Length of its straight moves in the stock, mm. */
    public float $inStock = 0.0;

    /** Length of those that leave a strip, mm. */
    public float $alongStrip = 0.0;

    /** Width of the widest strip, mm. */
    public float $widest = 0.0;

    /** @param  int  $lead  place of the lead-in */
    public function __construct(public readonly int $tool, public readonly int $lead)
    {
    }

    public function addStrip(int $line, float $length, float $width): void
    {
        $this->line = $this->line === 0 ? $line : $this->line;
        $this->alongStrip += $length;
        $this->widest = max($this->widest, $width);
    }
}
