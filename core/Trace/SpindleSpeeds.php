<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Control\SpeedInRapid;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Kinematics\Machine;

/** How fast the spindle turns at the end of each row of a trace, asked for one after another. */
final class SpindleSpeeds
{
    private readonly ?int $axis;

    private readonly bool $isHeld;

    /** Speed it holds while the tool goes at rapid, rev/min; null where none is held. */
    private ?float $held = null;

    private ?SpindleState $spindle = null;

    public function __construct(private readonly Machine $machine)
    {
        $this->axis = $machine->axisIndex[AxisName::X] ?? null;
        $this->isHeld = $machine->control->options->turning->surfaceSpeedInRapid === SpeedInRapid::Held;
    }

    /**
     * @param  float  $from  where the row begins on X, axis position in mm
     * @param  float  $to  and where it ends
     * @return float rev/min; 0 where it stands, or nothing limits it
     */
    public function at(State $state, int $kind, float $from, float $to): float
    {
        $spindle = $state->spindle;
        if ($spindle->turn === 0) {
            return 0.0;
        }
        if ($spindle->surfaceSpeed === null || $this->axis === null) {
            return $spindle->rpm;
        }
        if (! $this->isHeld || $kind !== MotionKind::RAPID) {
            $this->held = null;

            return $this->speed($state, $to);
        }
        if ($spindle !== $this->spindle) {
            [$this->spindle, $this->held] = [$spindle, null];
        }

        return $this->held ??= $this->speed($state, $from);
    }

    private function speed(State $state, float $x): float
    {
        $spindle = $state->spindle;
        $rpm = $spindle->rpmAt($spindle->counted($x - $state->shift((int) $this->axis)), $this->machine->spindle($spindle->name)->maxRpm ?? INF);

        return is_finite($rpm) ? $rpm : 0.0;
    }
}
