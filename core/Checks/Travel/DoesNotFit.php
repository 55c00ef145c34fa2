<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Travel;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Trace\Quantity;

/** A program for which no value of its work offset would do. */
final class DoesNotFit implements Check
{
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
                yield new Finding(
                    $this->name(), Severity::Stop, $this->firstLine($evidence, $name), 1,
                    '{axis} needs {needs} of travel in {work} and the machine has {has}: {by} too little, wherever {work} stands.',
                    [
                        'axis' => $name, 'work' => $work, 'needs' => Quantity::onAxis($name, $needs),
                        'has' => Quantity::onAxis($name, $axis->max - $axis->min), 'by' => Quantity::onAxis($name, $needs - ($axis->max - $axis->min)),
                    ],
                    'Turn the part, split the job into two clampings, or take a machine with more travel.', field: 'machine',
                );
            }
        }
    }

    private function firstLine(Evidence $evidence, string $axis): int
    {
        $lines = [];
        foreach ([[$evidence->setup->machine->axes[$axis]->min, false], [$evidence->setup->machine->axes[$axis]->max, true]] as [$limit, $above]) {
            $past = $limit === null ? null : $evidence->reach->past($evidence->trace, $axis, $limit, $above);
            if ($past !== null) {
                $lines[] = $past['lines'][0];
            }
        }

        return $lines === [] ? 1 : min($lines);
    }
}
