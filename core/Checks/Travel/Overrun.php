<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Travel;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Trace\Quantity;
use OakTrace\Core\Trace\State;

/** An axis past its limit. */
final class Overrun implements Check
{
    public function name(): string
    {
        return 'travel.overrun';
    }

    public function examine(Evidence $evidence): iterable
    {
        $reach = $evidence->reach;
        foreach ($evidence->setup->machine->axes as $name => $axis) {
            foreach ([[$axis->min, false], [$axis->max, true]] as [$limit, $above]) {
                $extent = $reach->machine[$name];
                if ($limit === null || $extent->isEmpty() || ($above ? $extent->max <= $limit + 1e-6 : $extent->min >= $limit - 1e-6)) {
                    continue;
                }
                $past = $reach->past($evidence->trace, $name, $limit, $above);
                if ($past !== null && ! $this->isExplained($evidence, $name, $past)) {
                    yield from $this->finding($evidence, $name, $limit, $above, $past);
                }
            }
        }
    }

    /**
     * Whether the axis is out there for a reason another finding gives: a slip of the point, an offset that is not set, a
     * length offset that is missing.
     *
     * @param  array{lines: non-empty-list<int>, furthest: float, at: int, work: string|null, state: State}  $past
     */
    private function isExplained(Evidence $evidence, string $axis, array $past): bool
    {
        if ($past['work'] === null) {
            return false;
        }
        $lengthMissing = $axis === $evidence->setup->machine->lengthAxis() && $past['state']->tool !== 0 && ! $past['state']->lengthIsKnown();

        return $lengthMissing || ! $past['state']->workIsSet || $evidence->slips()->explainsAxis($axis, $past['lines'][0]);
    }

    /**
     * @param  array{lines: non-empty-list<int>, furthest: float, at: int, work: string|null, state: State}  $past
     * @return iterable<Finding>
     */
    private function finding(Evidence $evidence, string $axis, float $limit, bool $above, array $past): iterable
    {
        $work = $past['work'];
        $fit = $work === null ? null : $evidence->reach->fit($work, $axis);
        if ($work !== null && $fit === null) {
            return; // no offset would do: travel.does-not-fit says so
        }
        $figures = [
            'axis' => $axis,
            'position' => Quantity::onAxis($axis, $past['furthest']),
            'limit' => Quantity::onAxis($axis, $limit),
            'by' => Quantity::onAxis($axis, abs($past['furthest'] - $limit)),
            'furthestLine' => $evidence->trace->library->words($past['at']),
            'count' => count($past['lines']),
        ];
        $remedy = 'Check the machine position that is asked for.';
        if ($work !== null && $fit !== null) {
            $figures += ['work' => $work, 'fitMin' => Quantity::onAxis($axis, $fit[0]), 'fitMax' => Quantity::onAxis($axis, $fit[1])];
            $remedy = match (true) {
                $fit[0] === -INF => '{work} {axis} must be {fitMax} or less.',
                $fit[1] === INF => '{work} {axis} must be {fitMin} or more.',
                default => '{work} {axis} must lie between {fitMin} and {fitMax} for everything to be inside. Is the offset touched off right?',
            };
        }
        yield new Finding(
            $this->name(), Severity::Stop, $past['lines'][0], 1,
            $above
                ? '{axis} runs past its plus limit of {limit}: furthest {position}, {by} too far, on line {furthestLine}.'
                : '{axis} runs past its minus limit of {limit}: furthest {position}, {by} too far, on line {furthestLine}.',
            $figures, $remedy, array_slice($past['lines'], 1, 500), field: $work === null ? null : 'workOffsets.'.$work.'.'.$axis,
        );
    }
}
