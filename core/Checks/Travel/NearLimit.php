<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Travel;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A move of the part's own that comes nearly to the end of an axis: the next touch-off may put it past. */
final class NearLimit extends MachineCheck
{
    /** Less than this is nothing to spare, mm. */
    private const NOTHING = 0.001;

    public function name(): string
    {
        return 'travel.near-limit';
    }

    public function why(): string
    {
        return 'The next touch-off may be a millimetre further out. Then this program stops with an alarm where it ran before.';
    }

    public function examine(CheckInput $input): iterable
    {
        $near = $input->setup->margins->nearLimit;
        foreach ($input->setup->machine->axes as $name => $axis) {
            $extent = $input->reach->carriedInMachine[$name];
            // An axis that is past a limit is travel.overrun, or does not fit.
            if ($axis->isRotary() || $extent->isEmpty() || $extent->min < ($axis->min ?? -INF) - 1e-6 || $extent->max > ($axis->max ?? INF) + 1e-6) {
                continue;
            }
            foreach ([[$axis->min, false], [$axis->max, true]] as [$limit, $above]) {
                if ($limit === null) {
                    continue;
                }
                $spare = $above ? $limit - $extent->max : $extent->min - $limit;
                $past = $spare > $near ? null : $input->reach->past($input->trace, $name, $above ? $limit - $near : $limit + $near, $above, carriedOnly: true);
                if (
                    $past === null || $input->entryErrors()->explainsAxis($name, $past['at']) || ! $past['state']->work->isSet
                    || ($name === $input->setup->machine->lengthAxis() && ! $past['state']->lengthIsKnown())
                ) {
                    continue;
                }
                yield new Finding(
                    $this->name(), Severity::Caution, $past['at'], 1,
                    abs($limit - $past['furthest']) < self::NOTHING
                        ? '{axis} goes right up to its '.($above ? 'plus' : 'minus').' limit of {limit}: nothing to spare.'
                        : '{axis} comes within {spare} of its '.($above ? 'plus' : 'minus').' limit of {limit}: {position}.',
                    [
                        'axis' => $name, 'spare' => $axis->shown(abs($limit - $past['furthest'])), 'limit' => $axis->shown($limit),
                        'position' => $axis->shown($past['furthest']),
                    ],
                    'Set the part further from it, or check this line when you touch off.', array_slice($past['lines'], 0, 500),
                    field: $past['work'] === null ? null : 'workOffsets.'.$past['work'].'.'.$name,
                );
            }
        }
    }
}
