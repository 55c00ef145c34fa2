<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Wording\Question;

/** A check for mills and lathes alike that can always look. */
abstract class MachineCheck implements Check
{
    public function appliesTo(Machine $machine): bool
    {
        return $machine->kind === Machine::MILL || $machine->isLathe();
    }

    public function gaps(CheckInput $input): iterable
    {
        return [];
    }

    /** @param  string|null  $field  the setup's field that would let it be looked at, dotted */
    protected function gap(string $text, ?string $field = null): Gap
    {
        return new Gap(Question::of($this->name()), $text, $field);
    }

    /**
     * One gap for all tools that lack something.
     *
     * @param  callable(Tool): bool  $lacks
     * @return list<Gap>
     */
    protected function gapOfTools(CheckInput $input, string $field, string $words, callable $lacks): array
    {
        $numbers = [];
        foreach ($input->usedTools() as $tool) {
            if ($tool->kind !== ToolKind::Probe && $lacks($tool)) {
                $numbers[] = $tool->number;
            }
        }

        return $numbers === [] ? [] : [$this->gap("No {$words} given for T".implode(', T', $numbers).'.', $input->toolField($numbers[0], $field))];
    }
}
