<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A machine whose programs are not judged yet. Nothing else is said of them: it would be said by the rules of a mill. */
final class MachineKind implements Check
{
    private const WORDS = ['sliding-head' => 'A sliding-head lathe'];

    public function name(): string
    {
        return 'reading.machine-kind';
    }

    public function why(): string
    {
        return 'Another machine moves, clamps and limits by rules of its own. A verdict by the rules of a mill would be worth nothing.';
    }

    public function appliesTo(Machine $machine): bool
    {
        return $machine->kind !== Machine::MILL && ! $machine->isLathe();
    }

    public function gaps(CheckInput $input): iterable
    {
        return [];
    }

    public function examine(CheckInput $input): iterable
    {
        $kind = $input->setup->machine->kind;
        yield new Finding(
            $this->name(), Severity::Stop, $input->firstBlock(), 1,
            '{what} is not supported yet: diameters, chuck, bar and limits of this program were not checked.',
            ['what' => self::WORDS[$kind] ?? 'This kind of machine'],
            'Do not run it on the strength of this.',
        );
    }
}
