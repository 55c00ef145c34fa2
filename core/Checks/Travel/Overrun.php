<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Travel;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/**
 * An axis past its limit.
 *
 * @phpstan-type Past array{lines: non-empty-list<int>, furthest: float, at: int, work: string|null, state: State}
 */
final class Overrun extends MachineCheck
{
    /** Past a limit by more than this share of all its travel, one line alone is wrong itself. */
    private const ALONE = 0.3;

    public function name(): string
    {
        return 'travel.overrun';
    }

    public function why(): string
    {
        return 'The axis reaches its end and the control stops in the middle of the run. Between two cuts that costs a part, in a cut also a tool.';
    }

    public function gaps(CheckInput $input): iterable
    {
        $open = [];
        foreach ($input->setup->machine->axes as $name => $axis) {
            if (($axis->min === null || $axis->max === null) && ! $input->reach->machine[$name]->isEmpty() && ! $axis->isRotary()) {
                $open[] = $name;
            }
        }
        if ($open !== []) {
            yield $this->gap('No limits given for '.implode(', ', $open).'.', 'machine');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        $overruns = [];
        foreach ($input->setup->machine->axes as $name => $axis) {
            foreach ([[$axis->min, false], [$axis->max, true]] as [$limit, $above]) {
                $extent = $input->reach->machine[$name];
                if ($limit === null || $extent->isEmpty() || ($above ? $extent->max <= $limit + 1e-6 : $extent->min >= $limit - 1e-6)) {
                    continue;
                }
                $past = $input->reach->past($input->trace, $name, $limit, $above);
                if ($past !== null && ! $this->isExplained($input, $name, $past)) {
                    $overruns[] = [$name, $limit, $above, $past];
                }
            }
        }
        $shifted = $this->shifted($input, $overruns);
        foreach ($shifted as $work => $own) {
            yield $this->shift($input, $work, $own);
        }
        foreach ($overruns as $overrun) {
            if (! isset($shifted[(string) $overrun[3]['work']])) {
                yield from $this->finding($input, ...$overrun);
            }
        }
    }

    /**
     * Work offsets that take most of what they carry past a limit on two axes or more: everything is shifted.
     *
     * @param  list<array{string, float, bool, Past}>  $overruns
     * @return array<string, non-empty-list<array{string, float, bool, Past}>>
     */
    private function shifted(CheckInput $input, array $overruns): array
    {
        $byWork = [];
        foreach ($overruns as $overrun) {
            [$axis, $limit, , $past] = $overrun;
            $work = $past['work'];
            if ($work !== null && $input->reach->fit($work, $axis) !== null && abs($past['furthest'] - $limit) > $input->reach->span($work, $axis) / 2) {
                $byWork[$work][] = $overrun;
            }
        }

        return array_filter($byWork, static fn (array $own): bool => count(array_unique(array_column($own, 0))) > 1);
    }

    /** @param  non-empty-list<array{string, float, bool, Past}>  $own */
    private function shift(CheckInput $input, string $work, array $own): Finding
    {
        [$axis, $limit, , $past] = $own[0];
        $figures = [
            'work' => $work, 'axis' => $axis, 'position' => $input->setup->machine->shown($axis, $past['furthest']),
            'limit' => $input->setup->machine->shown($axis, $limit), 'by' => $input->setup->machine->shown($axis, abs($past['furthest'] - $limit)),
        ];
        $sides = $ranges = [];
        foreach ($own as $i => [$name, $end, $above, $gone]) {
            $figures += ["by{$i}" => $input->setup->machine->shown($name, abs($gone['furthest'] - $end))];
            $sides[] = "{by{$i}} past the ".($above ? 'plus' : 'minus')." limit of {$name}";
            [$low, $high] = $input->reach->fit($work, $name) ?? [-INF, INF];
            $figures += array_filter(
                [
                    "low{$i}" => is_infinite($low) ? null : $input->setup->machine->shown($name, $low),
                    "high{$i}" => is_infinite($high) ? null : $input->setup->machine->shown($name, $high),
                ],
            );
            $ranges[] = $name.' '.match (true) {
                is_infinite($low) => "{high{$i}} or less",
                is_infinite($high) => "{low{$i}} or more",
                default => "{low{$i}} to {high{$i}}",
            };
        }
        $lines = array_values(array_unique(array_merge(...array_column(array_column($own, 3), 'lines'))));
        sort($lines);

        return new Finding(
            $this->name(), Severity::Stop, $lines[0], 1,
            'Everything in {work} stands outside the travel: '.implode(', ', $sides).'. The offset looks wrong, not the program.',
            $figures, 'For everything to be inside {work} must have '.implode(', ', $ranges).'.', array_slice($lines, 1, 500), field: 'workOffsets.'.$work,
        );
    }

    /**
     * Whether the axis is out there for a reason another finding gives: a slip of the point, an offset that is not set, a
     * length offset that is missing.
     *
     * @param  Past  $past
     */
    private function isExplained(CheckInput $input, string $axis, array $past): bool
    {
        if ($past['work'] === null) {
            return false;
        }
        // A length that is missing is told where the tool comes down; on its way up this is what tells it.
        $lengthMissing = $axis === $input->setup->machine->lengthAxis() && $past['state']->tool !== 0 && ! $past['state']->lengthIsKnown()
            && ($past['state']->length->number !== 0 || self::comesDownWithout($input, $past['state']->tool));

        return $lengthMissing || ! $past['state']->work->isSet || $input->entryErrors()->explainsAxis($axis, $past['lines'][0]);
    }

    /** @param  array{float, float}|null  $fit */
    private static function remedyOf(?string $work, ?array $fit): string
    {
        return match (true) {
            $work === null || $fit === null => '',
            $fit[0] === -INF => '{work} {axis} must be {fitMax} or less.',
            $fit[1] === INF => '{work} {axis} must be {fitMin} or more.',
            default => '{work} {axis} must lie between {fitMin} and {fitMax} for everything to be inside. Is the offset touched off right?',
        };
    }

    /**
     * The one tool of several that goes past a limit of the length axis, by the number of its length offset, and what that may be.
     *
     * @return array{int, array{float, float}}|null
     */
    private function onlyTool(CheckInput $input, string $axis, float $limit, bool $above): ?array
    {
        if ($axis !== $input->setup->machine->lengthAxis()) {
            return null;
        }
        $within = [];
        $past = null;
        foreach ($input->trace->states as $state) {
            $range = $state->lengthIsKnown() ? $input->reach->lengthFit($state->tool) : null;
            $offset = $input->setup->tooling->lengthOffsets[$state->length->number] ?? null;
            if ($range === null || $offset === null) {
                continue;
            }
            if ($above ? $offset->total() > $range[1] + 1e-6 : $offset->total() < $range[0] - 1e-6) {
                if ($past !== null && $past[0] !== $state->length->number) {
                    return null;
                }
                $past = [$state->length->number, $range];
            } else {
                $within[$state->tool] = true;
            }
        }

        return $within === [] ? null : $past;
    }

    /** Whether one number goes so far past a limit that nothing else comes near, and the rest of the program stays inside. */
    private static function isAlone(float $by, float $span): bool
    {
        return $by > self::ALONE * max(1.0, $span) && $by < $span;
    }

    /** Whether a tool comes down with no length offset in force. */
    private static function comesDownWithout(CheckInput $input, int $tool): bool
    {
        foreach (array_keys($input->cuts->firstDown) as $number) {
            $state = $input->trace->states[$number];
            if ($state->tool === $tool && ! $state->length->sinceToolChange) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  Past  $past
     * @return iterable<Finding>
     */
    private function finding(CheckInput $input, string $axis, float $limit, bool $above, array $past): iterable
    {
        $work = $past['work'];
        $fit = $work === null ? null : $input->reach->fit($work, $axis);
        if ($work !== null && $fit === null) {
            return; // no offset would do: travel.does-not-fit says so
        }
        $figures = [
            'axis' => $axis,
            'position' => $input->setup->machine->shown($axis, $past['furthest']),
            'limit' => $input->setup->machine->shown($axis, $limit),
            'by' => $input->setup->machine->shown($axis, abs($past['furthest'] - $limit)),
            'furthestLine' => $input->trace->sources->words($past['at']),
            'count' => count($past['lines']),
        ];
        $remedy = 'Check the machine position that is asked for.';
        $word = $work === null ? null : $input->wordAlone($past, $axis);
        if ($work !== null && $fit !== null) {
            $figures += ['work' => $work, 'fitMin' => $input->setup->machine->shown($axis, $fit[0]), 'fitMax' => $input->setup->machine->shown($axis, $fit[1])];
        }
        if (
            $axis === $input->setup->machine->lengthAxis() && $past['state']->tool !== 0 && $past['state']->length->number === 0
            && $input->setup->tooling->lengthOffsets !== []
        ) {
            $remedy = 'No length offset is active here: go home before the length is cancelled, or cancel it with the move home.';
        } elseif (($long = $this->onlyTool($input, $axis, $limit, $above)) !== null) {
            [$number, $range] = $long;
            $figures += [
                'number' => $number, 'least' => Quantity::length(max(-1e6, $range[0])), 'most' => Quantity::length(min(1e6, $range[1])),
                'has' => Quantity::length(($input->setup->tooling->lengthOffsets[$number] ?? null)?->total() ?? 0.0),
            ];
            $remedy = 'Only the tool with H{number} goes that far: is its length right? H{number} is {has}; '
                .($above ? '{most} or less' : '{least} or more').' would fit. '.self::remedyOf($work, $fit);
        } elseif ($work !== null && $fit !== null) {
            $remedy = self::remedyOf($work, $fit);
        }
        if ($word !== null && self::isAlone(abs($past['furthest'] - $limit), $input->reach->span((string) $work, $axis))) {
            $remedy = 'Nothing else of the program goes that far: is {axis}'.$word->number.' on this line right?';
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
