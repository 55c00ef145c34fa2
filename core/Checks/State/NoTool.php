<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A cutting move before any tool, or with a tool the setup does not have. */
final class NoTool extends MachineCheck
{
    public function name(): string
    {
        return 'state.no-tool';
    }

    public function why(): string
    {
        return 'What is in the spindle is then whatever was left in it. Its length and diameter are not the ones the program expects.';
    }

    public function examine(CheckInput $input): iterable
    {
        $seen = [];
        $cuts = $input->cuts->firstCut;
        asort($cuts);
        foreach ($cuts as $number => $line) {
            $tool = $input->trace->states[$number]->tool;
            if (isset($seen[$tool])) {
                continue;
            }
            $seen[$tool] = true;
            if ($tool === 0) {
                yield new Finding(
                    $this->name(), Severity::Stop, $line, 1, 'A cutting move before any tool has been called.',
                    [], $input->setup->machine->isLathe() ? 'Call the tool with its T before this line.'
                        : 'Call the tool with T and {code tool-change} before this line.',
                );
            } elseif (! isset($input->setup->tooling->tools[$tool])) {
                yield new Finding(
                    $this->name(), Severity::Stop, $line, 1, 'T{tool} cuts here and is not in the setup.',
                    ['tool' => $tool], 'Add T{tool} to the setup, or call the tool that is there.', field: 'tools',
                );
            }
        }
        foreach ($input->folded('tool-change-without-tool') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column, 'A tool change with no tool called: which tool comes is not known.',
                [], 'Put the T word in or before this line.', $also,
            );
        }
    }
}
