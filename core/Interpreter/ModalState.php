<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Geometry\Placement;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Quantities\Units;
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

    public bool $centreAbsolute = false;

    public Units $units;

    public bool $unitsStated = false;

    public Code $feedMode = Code::FeedPerMinute;

    /** The F as said: mm/min, mm/rev or turns of the whole move per minute, by feed mode. */
    public float $feedWord = 0.0;

    /** mm/min; 0 until the program says one. In inverse time the mover works it out for each move. */
    public float $feed = 0.0;

    public int $tool = 0;

    public ?int $toolCalled = null;

    public string $work;

    public bool $workStated = false;

    public bool $workIsSet = false;

    /** @var list<float> per axis */
    public array $workShift;

    public int $lengthNumber = 0;

    public bool $lengthIsSet = false;

    public int $lengthSign = 1;

    /** @var list<float> per axis */
    public array $lengthShift;

    public bool $lengthSinceToolChange = false;

    public string $spindle = Machine::MAIN_SPINDLE;

    /** 1 clockwise, -1 counter-clockwise, 0 stopped */
    public int $spindleTurn = 0;

    public float $rpm = 0.0;

    public bool $flood = false;

    public bool $mist = false;

    /** 1 left of the path, -1 right, 0 off */
    public int $cutterSide = 0;

    public int $cutterNumber = 0;

    /** mm */
    public float $cutterRadius = 0.0;

    public bool $exactStop = false;

    public bool $polar = false;

    public ?Placement $placement = null;

    /** mm/min at the edge where S is a surface speed; null where it is a spindle speed */
    public ?float $surfaceSpeed = null;

    /** Speed the spindle is not to pass, by the program's own word. */
    public float $speedLimit = INF;

    public function __construct(ControlProfile $profile, int $axes)
    {
        $this->units = $profile->defaultUnits;
        $this->work = $profile->defaultWorkOffset;
        $this->workShift = $this->lengthShift = array_fill(0, $axes, 0.0);
    }

    /** Works the feed in mm/min out anew, after an F, an S or a turn of the spindle. */
    public function refreshFeed(): void
    {
        $this->feed = match ($this->feedMode) {
            Code::FeedPerRevolution => $this->spindleTurn === 0 ? 0.0 : $this->feedWord * $this->rpm,
            default => $this->feedWord,
        };
    }

    public function snapshot(): State
    {
        return new State(
            tool: $this->tool,
            work: $this->work,
            workStated: $this->workStated,
            workIsSet: $this->workIsSet,
            workShift: $this->workShift,
            lengthNumber: $this->lengthNumber,
            lengthIsSet: $this->lengthIsSet,
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
            feedMode: $this->feedMode,
            cycle: $this->cycle,
            returnToInitial: $this->returnToInitial,
            cutterSide: $this->cutterSide,
            cutterNumber: $this->cutterNumber,
            cutterRadius: $this->cutterRadius,
            exactStop: $this->exactStop,
            polar: $this->polar,
            placement: $this->placement,
            surfaceSpeed: $this->surfaceSpeed,
        );
    }
}
