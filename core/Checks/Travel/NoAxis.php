<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Travel;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A move of an axis the machine does not have, or a shape in a plane that needs it. */
final class NoAxis extends MachineCheck
{
    private const REMEDY = 'Choose a machine that has the axis, or add it to the machine.';

    public function name(): string
    {
        return 'travel.no-axis';
    }

    public function why(): string
    {
        return 'The machine does not have this axis and stops, or leaves the word out. The rest then happens at the wrong angle or place.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->folded('missing-axis', 'axis') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                is_string($notice->figures['axis']) && isset($input->setup->machine->axes[$notice->figures['axis']])
                    ? 'The program moves {axis}, and on {machine} {axis} is moved by hand. The word was ignored.'
                    : 'The program moves {axis}, and {machine} has no {axis} axis. The word was ignored.',
                $notice->figures + ['machine' => $input->setup->machine->name],
                self::REMEDY, $also, field: 'machine',
            );
        }
        foreach ($input->folded('missing-plane-axis', 'what', 'axis') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                '{what} lies in {first} and {second} here, and {machine} has no {axis} axis. It was ignored.',
                $notice->figures + ['machine' => $input->setup->machine->name],
                self::REMEDY, $also, field: 'machine',
            );
        }
    }
}
