<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Geometry\ProgramPosition;
use OakTrace\Core\Trace\State;

/** What is in force at one moment of a run, and where everything stands. Feed in mm/min. */
final readonly class MachineState
{
    /** @param  list<float>  $axes  machine position of every axis, mm or degrees */
    public function __construct(public State $state, public Code $motion, public float $feed, public array $axes, public ProgramPosition $position)
    {
    }
}
