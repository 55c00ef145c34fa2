<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Travel;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/**
 * A program for which no value of its work offset would do.
 *
 * @phpstan-import-type Past from Overrun
 */
final class DoesNotFit implements Check
{
    /** Of the travel: where more than this is missing for the sake of one line, the line is asked after first. */
    private const ALONE = 0.1;

    public function name(): string
    {
        return 'travel.does-not-fit';
    }

    public function examine(Evidence $evidence): iterable
    {
        $reach = $evidence->reach;
        foreach ($reach->work as $work => $extents) {
            foreach ($extents as $name => $extent) {
                $axis = $evidence->setup->machine->axes[$name];
                if ($axis->min === null || $axis->max === null || $reach->fit($work, $name) !== null || $evidence->slips()->explainsAxis($name, $this->firstLine($evidence, $name))) {
                    continue;
                }
                $needs = $reach->span($work, $name);
                $word = $needs - ($axis->max - $axis->min) > self::ALONE * ($axis->max - $axis->min) ? $this->wordAlone($evidence, $name) : null;
                yield new Finding(
                    $this->name(), Severity::Stop, $this->firstLine($evidence, $name), 1,
                    '{axis} needs {needs} of travel in {work} and the machine has {has}: {by} too little, wherever {work} stands.',
                    [
                        'axis' => $name, 'work' => $work, 'needs' => Quantity::onAxis($name, $needs),
                        'has' => Quantity::onAxis($name, $axis->max - $axis->min), 'by' => Quantity::onAxis($name, $needs - ($axis->max - $axis->min)),
                    ],
                    ($word === null ? 'Turn' : "Is {axis}{$word->number} on line {$word->line} right? If so, turn").' the part, split the job into two clampings, or take a machine with more travel.', field: 'machine',
                );
            }
        }
    }

    /** The word of the one line that goes past a limit. */
    private function wordAlone(Evidence $evidence, string $axis): ?PlacedWord
    {
        foreach ($this->pasts($evidence, $axis) as $past) {
            $word = $evidence->wordAlone($past, $axis);
            if ($word !== null && $evidence->trace->library->program($word->line) === null) {
                return $word;
            }
        }

        return null;
    }

    private function firstLine(Evidence $evidence, string $axis): int
    {
        $lines = array_map(static fn (array $past): int => $past['lines'][0], $this->pasts($evidence, $axis));

        return $lines === [] ? 1 : min($lines);
    }

    /**
     * @return list<Past>
     */
    private function pasts(Evidence $evidence, string $axis): array
    {
        [$min, $max] = [$evidence->setup->machine->axes[$axis]->min, $evidence->setup->machine->axes[$axis]->max];

        return array_values(array_filter([
            $min === null ? null : $evidence->reach->past($evidence->trace, $axis, $min, false),
            $max === null ? null : $evidence->reach->past($evidence->trace, $axis, $max, true),
        ]));
    }
}
