<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A thread that begins too near to the part for the slide to have its speed. */
final class ThreadRunIn extends LatheCheck
{
    public function name(): string
    {
        return 'turning.thread-run-in';
    }

    public function why(): string
    {
        return 'The slide needs a way to come up to speed with the spindle. Until it has, the lead is too short and the nut does not go on.';
    }

    public function examine(CheckInput $input): iterable
    {
        $stock = $input->setup->workpiece->stock;
        $least = null;
        foreach ($stock === null ? [] : $input->lathe->threads as $pass) {
            $state = $input->trace->states[$pass['state']];
            $zero = $state->shift($input->setup->machine->axisIndex[AxisName::Z] ?? 0);
            $way = $pass['fromZ'] - $zero;
            // A thread that is begun in front of the part, towards the chuck.
            if ($pass['toZ'] < $pass['fromZ'] - 1e-6 && $way > 0.0 && ($least === null || $way < $least[0])) {
                $least = [$way, $pass, $state];
            }
        }
        if ($least === null) {
            return;
        }
        [$way, $pass, $state] = $least;
        $machine = $input->setup->machine;
        $needs = $machine->threadLag->runIn($pass['feed'] / 60, ($machine->axes[AxisName::Z] ?? null)?->acceleration);
        if ($way < $needs) {
            yield new Finding(
                $this->name(), $way < $needs / 2 ? Severity::Stop : Severity::Caution, $pass['place'], 1,
                'The thread begins {way} in front of the part; at {rpm} the slide needs {needs} to have its speed.',
                ['way' => Quantity::length($way), 'needs' => Quantity::length($needs), 'rpm' => Quantity::rpm($state->spindle->rpm)],
                'Begin further out, or turn slower.',
            );
        }
    }
}
