<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Kinematics\Machine;

/** A check for lathes alone. */
abstract class LatheCheck extends MachineCheck
{
    public function appliesTo(Machine $machine): bool
    {
        return $machine->isLathe();
    }
}
