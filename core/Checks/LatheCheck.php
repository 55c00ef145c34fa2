<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Kinematics\Machine;

/** A check for lathes alone. */
abstract class LatheCheck extends MachineCheck
{
    public function appliesTo(Machine $machine): bool
    {
        return $machine->isLathe();
    }

    /** Whether the block at a place sends the axes to a reference point. */
    protected static function goesHome(CheckInput $input, int $place): bool
    {
        foreach ($input->setup->machine->control->codesIn($input->trace->sources->text($place)) as ['code' => $code]) {
            if ($code === Code::Reference || $code === Code::SecondReference) {
                return true;
            }
        }

        return false;
    }
}
