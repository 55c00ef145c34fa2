<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Kinematics\Machine;

/** A check for mills alone, as most are. */
abstract class MillCheck extends MachineCheck
{
    public function appliesTo(Machine $machine): bool
    {
        return $machine->kind === Machine::MILL;
    }
}
