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
        $open = array_filter($input->usedTools(), static fn (Tool $tool): bool => $tool->kind !== ToolKind::Probe && $lacks($tool));

        return $this->gapOf($input, array_map(static fn (Tool $tool): int => $tool->number, $open), "No {$words} given for {tools}.", $field);
    }

    /**
     * One gap for some tools; none where there are none of them.
     *
     * @param  array<int>  $tools  their numbers
     * @param  string  $text  with {tools} where they are named
     * @param  string  $field  of a tool that would let it be looked at
     * @return list<Gap>
     */
    protected function gapOf(CheckInput $input, array $tools, string $text, string $field): array
    {
        foreach ($tools as $first) {
            return [$this->gap(str_replace('{tools}', 'T'.implode(', T', $tools), $text), $input->toolField($first, $field))];
        }

        return [];
    }
}
