<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Travel;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/**
 * A program for which no value of its work offset would do.
 *
 * @phpstan-import-type Past from Overrun
 */
final class DoesNotFit extends MachineCheck
{
    /** Of the travel: where more than this is missing for the sake of one line, the line is asked after first. */
    private const ALONE = 0.1;

    public function name(): string
    {
        return 'travel.does-not-fit';
    }

    public function why(): string
    {
        return 'No place on the table gives the program enough room. It has to be split, or run on another machine.';
    }

    public function examine(CheckInput $input): iterable
    {
        $reach = $input->reach;
        foreach ($reach->work as $work => $extents) {
            foreach ($extents as $name => $extent) {
                $axis = $input->setup->machine->axes[$name];
                if (
                    $axis->min === null || $axis->max === null || $reach->fit($work, $name) !== null
                    || $input->entryErrors()->explainsAxis($name, $this->firstLine($input, $name))
                ) {
                    continue;
                }
                $needs = $reach->span($work, $name);
                $word = $needs - ($axis->max - $axis->min) > self::ALONE * ($axis->max - $axis->min) ? $this->wordAlone($input, $name) : null;
                yield new Finding(
                    $this->name(), Severity::Stop, $this->firstLine($input, $name), 1,
                    '{axis} needs {needs} of travel in {work} and the machine has {has}: {by} too little, wherever {work} is set.',
                    [
                        'axis' => $name, 'work' => $work, 'needs' => $axis->shown($needs),
                        'has' => $axis->shown($axis->max - $axis->min), 'by' => $axis->shown($needs - ($axis->max - $axis->min)),
                    ],
                    (
                        $word === null ? 'Turn' : "Is {axis}{$word->number} on line {$word->line} right? If so, turn"
                    ).' the part, split the job into two setups, or use a machine with more travel.', field: 'machine',
                );
            }
        }
    }

    /** The word of the one line that goes past a limit. */
    private function wordAlone(CheckInput $input, string $axis): ?PlacedWord
    {
        foreach ($this->pasts($input, $axis) as $past) {
            $word = $input->wordAlone($past, $axis);
            if ($word !== null && $input->trace->sources->program($word->line) === null) {
                return $word;
            }
        }

        return null;
    }

    private function firstLine(CheckInput $input, string $axis): int
    {
        $lines = array_map(static fn (array $past): int => $past['lines'][0], $this->pasts($input, $axis));

        return $lines === [] ? 1 : min($lines);
    }

    /**
     * @return list<Past>
     */
    private function pasts(CheckInput $input, string $axis): array
    {
        [$min, $max] = [$input->setup->machine->axes[$axis]->min, $input->setup->machine->axes[$axis]->max];

        return array_values(array_filter([
            $min === null ? null : $input->reach->past($input->trace, $axis, $min, false),
            $max === null ? null : $input->reach->past($input->trace, $axis, $max, true),
        ]));
    }
}
