<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

/** One pass of a thread: down, along, out and back. */
final readonly class ThreadStroke
{
    /**
     * @param  float  $backZ  where it begins and comes back to
     * @param  float  $taper  radius of the start less that of the end
     * @param  float  $pullOff  how long it leads out at 45°, mm
     */
    public function __construct(private float $backZ, private float $backX, private float $taper, private float $pullOff, private float $lead)
    {
    }

    /**
     * @param  float  $fromZ  where this pass begins
     * @param  float  $z  where it ends
     * @param  float  $x  radius at the end
     */
    public function make(float $fromZ, float $z, float $x, TurningMotion $motion): void
    {
        $out = min($this->pullOff, abs($this->backX - $x), abs($z - $fromZ) / 2);
        $share = $z === $fromZ ? 0.0 : $out / abs($z - $fromZ);
        $motion->rapid($fromZ, $x + $this->taper);
        if ($out > 0.0) {
            $motion->thread($z - ($z > $fromZ ? $out : -$out), $x + $this->taper * $share, $this->lead);
            $motion->thread($z, $x + ($this->backX > $x ? $out : -$out), $this->lead);
        } else {
            $motion->thread($z, $x, $this->lead);
        }
        $motion->rapid($z, $this->backX);
        $motion->rapid($this->backZ, $this->backX);
    }
}
