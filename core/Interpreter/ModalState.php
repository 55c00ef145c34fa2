<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Setup\Units;
use OakTrace\Core\Trace\State;

/** What is in force while a program is read. */
final class ModalState
{
    public Code $motion = Code::Rapid;

    public bool $motionStated = false;

    public ?Code $cycle = null;

    public bool $returnToInitial = true;

    public Plane $plane = Plane::XY;

    public bool $absolute = true;

    public Units $units;

    public bool $unitsStated = false;

    /** mm/min; 0 until the program says one */
    public float $feed = 0.0;

    public int $tool = 0;

    public ?int $toolCalled = null;

    public string $work;

    public bool $workStated = false;

    /** @var list<float> per axis */
    public array $workShift;

    public int $lengthNumber = 0;

    /** @var list<float> per axis */
    public array $lengthShift;

    public bool $lengthSinceToolChange = false;

    public string $spindle = Machine::MAIN_SPINDLE;

    /** 1 clockwise, -1 counter-clockwise, 0 stopped */
    public int $spindleTurn = 0;

    public float $rpm = 0.0;

    public bool $flood = false;

    public bool $mist = false;

    /** @param  list<float>  $workShift shift of the offset that is in force at power-on */
    public function __construct(ControlProfile $profile, array $workShift)
    {
        $this->units = $profile->defaultUnits;
        $this->work = $profile->defaultWorkOffset;
        $this->workShift = $workShift;
        $this->lengthShift = array_fill(0, count($workShift), 0.0);
    }

    public function snapshot(): State
    {
        return new State(
            tool: $this->tool,
            work: $this->work,
            workStated: $this->workStated,
            workShift: $this->workShift,
            lengthNumber: $this->lengthNumber,
            lengthShift: $this->lengthShift,
            lengthSinceToolChange: $this->lengthSinceToolChange,
            spindle: $this->spindle,
            spindleTurn: $this->spindleTurn,
            rpm: $this->rpm,
            flood: $this->flood,
            mist: $this->mist,
            plane: $this->plane,
            absolute: $this->absolute,
            units: $this->units,
            cycle: $this->cycle,
            returnToInitial: $this->returnToInitial,
        );
    }
}
