<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\HoleReturn;
use OakTrace\Core\Geometry\Placement;
use OakTrace\Core\Trace\CoolantState;
use OakTrace\Core\Trace\CutterState;
use OakTrace\Core\Trace\LengthOffsetState;
use OakTrace\Core\Trace\Modes;
use OakTrace\Core\Trace\SpindleState;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Trace\WorkOffsetState;

/** What is in force while a program is read. */
final class ModalState
{
    public Code $motion = Code::Rapid;

    public bool $motionStated = false;

    public ?Code $cycle = null;

    public bool $centerAbsolute = false;

    public bool $unitsStated = false;

    /** The F as said: mm/min, mm/rev or turns of the whole move per minute, by feed mode. */
    public float $feedWord = 0.0;

    /** mm/min, or mm a turn where State::feedsByTurn(); 0 until the program says one. In inverse time it is worked out for each move. */
    public float $feed = 0.0;

    public int $tool = 0;

    public ?int $toolCalled = null;

    /** The offset called with a tool of a lathe that comes in by a code of its own. */
    public int $offsetCalled = 0;

    public WorkOffsetState $work;

    public LengthOffsetState $length;

    public SpindleState $spindle;

    /** The surface speed said last, mm/min: it goes on where that mode comes back without one. */
    public float $surfaceSpeed = 0.0;

    public CoolantState $coolant;

    public Modes $modes;

    public CutterState $cutter;

    public ?Placement $placement = null;

    public function __construct(ControlProfile $profile, int $axes)
    {
        $none = array_fill(0, $axes, 0.0);
        $this->work = new WorkOffsetState($profile->defaultWorkOffset, false, false, $none);
        $this->length = new LengthOffsetState(0, false, $none);
        $this->spindle = new SpindleState;
        $this->coolant = new CoolantState;
        $this->modes = new Modes($profile->defaultUnits, $profile->defaultPlane, feedMode: $profile->defaultFeedMode,
            returnToInitial: $profile->options->turning->holeReturn === HoleReturn::Initial);
        $this->cutter = new CutterState;
    }

    /** Works the feed out anew, after an F, an S or a turn of the spindle. */
    public function refreshFeed(): void
    {
        $this->feed = match ($this->modes->feedMode) {
            Code::FeedPerRevolution => match (true) {
                $this->spindle->turn === 0 => 0.0,
                $this->spindle->surfaceSpeed !== null => $this->feedWord,
                default => $this->feedWord * $this->spindle->rpm,
            },
            default => $this->feedWord,
        };
    }

    /** Goes back to what was in force. */
    public function restore(self $before): void
    {
        foreach (get_object_vars($before) as $name => $value) {
            $this->$name = $value;
        }
    }

    public function snapshot(): State
    {
        return new State($this->tool, $this->work, $this->length, $this->spindle, $this->coolant, $this->modes, $this->cycle, $this->cutter, $this->placement);
    }
}
