<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Checks\Gap;
use OakTrace\Core\Checks\Gaps;
use OakTrace\Core\Geometry\Extent;
use OakTrace\Core\HoldPoints\HoldPoint;
use OakTrace\Core\Kinematics\Axis;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Timing\RunTimes;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Question;
use OakTrace\Core\Wording\Wording;

/** Writes a verification as oak-check/1 (schemas/oak-check-1.json). Numbers in the setup's units unless others are asked for. */
final readonly class CheckResult
{
    private Units $units;

    private Wording $wording;

    private Wording $otherWording;

    private WrittenEdit $edits;

    /** @param  array{float, float}  $overrides */
    private function __construct(private Verification $verification, private array $overrides, ?Units $units)
    {
        $this->units = $units ?? $verification->setup->units;
        $this->edits = new WrittenEdit($verification->trace->sources->text(...));
        // Sentences are in the units the program is written in unless others are asked for; the other ones stand beside them.
        $written = $units ?? $verification->trace->end->modes->units;
        $this->wording = new Wording($written);
        $this->otherWording = new Wording($written === Units::Inch ? Units::Millimetre : Units::Inch);
    }

    /**
     * @param  float  $rapidOverride  1 for the full rate
     * @param  float  $feedOverride  1 for the feed as programmed
     * @param  Units|null  $units  of every number and sentence; those of the setup and of the program where not given
     * @return array<string, mixed>
     */
    public static function of(Verification $verification, float $rapidOverride = 1.0, float $feedOverride = 1.0, ?Units $units = null): array
    {
        $result = new self($verification, [$rapidOverride, $feedOverride], $units);

        return [
            'format' => 'oak-check/1',
            'units' => $result->units->value,
            'verdict' => $verification->verdict->value,
            'summary' => $result->summary(),
            'findings' => array_map($result->finding(...), $verification->findings),
            'notLooked' => array_map(
                static fn (Gap $gap): array => [
                    'question' => $gap->question->value, 'text' => $gap->text,
                ] + ($gap->field === null ? [] : ['field' => $gap->field]),
                Gaps::of($verification->input),
            ),
            'holdPoints' => array_map($result->holdPoint(...), $verification->holdPoints()),
        ];
    }

    /** @return array<string, mixed> */
    private function finding(Finding $finding): array
    {
        $detail = [];
        foreach ($finding->figures as $name => $figure) {
            $detail[$name] = $figure instanceof Quantity ? $figure->in($this->units) : $figure;
        }
        $written = [
            'check' => $finding->check,
            'severity' => $finding->severity->value,
            'question' => Question::of($finding->check)->value,
            ...Places::fields($this->verification->trace->sources, $finding->line),
            'column' => $this->edits->column($finding->line, $finding->column),
            'text' => $this->wording->text($finding),
            'remedy' => $this->wording->remedy($finding),
            'otherUnits' => $this->otherWording->text($finding),
            'detail' => (object) $detail,
            'alsoAt' => array_values(array_unique(array_map(SourceMap::lineNumber(...), $finding->alsoAt))),
            'at' => $this->verification->trace->sources->mainLine($finding->line),
        ];
        // A change of a program in the setup is not a change of the text that lies open.
        if ($finding->edit !== null && $this->verification->trace->sources->isInMain($finding->edit->line)) {
            $written['edit'] = $this->edits->of($finding->edit);
        }
        if ($finding->lowered !== null) {
            $written['lowered'] = ['reason' => $finding->lowered->reason, 'on' => $finding->lowered->onMachine ? 'machine' : 'setup']
                + ($finding->lowered->by === null ? [] : ['by' => $finding->lowered->by]);
        }
        if ($finding->field !== null) {
            $written['field'] = $finding->field;
        }

        return $written;
    }

    /** @return array<string, mixed> */
    private function holdPoint(HoldPoint $point): array
    {
        $positions = fn (array $values): array => array_combine(array_keys($values), array_map($this->on(...), array_keys($values), $values));

        return [
            ...Places::fields($this->verification->trace->sources, $point->line),
            'at' => $this->verification->trace->sources->mainLine($point->line),
            'row' => $point->row,
            'tool' => $point->tool,
            'reasons' => $point->reasons,
            'position' => $positions($point->shown),
            'machine' => $positions($point->machine),
            'seconds' => round($point->seconds, 3),
        ];
    }

    /** @return array<string, mixed> */
    private function summary(): array
    {
        $times = $this->overrides === [1.0, 1.0] ? $this->verification->summary()->times : RunTimes::of(
            $this->verification->trace, $this->verification->setup->machine, ...$this->overrides,
        );
        $lengths = $this->verification->summary()->lengths;

        return [
            'blocks' => $this->verification->trace->blocks,
            'motions' => $lengths->motions,
            'seconds' => round($times->seconds, 3),
            'rapidLength' => $this->length($lengths->rapid),
            'feedLength' => $this->length($lengths->feed),
            'tools' => $this->tools($times),
            'operations' => $this->operations($times),
            'overrides' => ['rapid' => $this->overrides[0], 'feed' => $this->overrides[1], 'seconds' => round($times->overridden, 3)],
            'extents' => ['work' => $this->workExtents(), 'machine' => $this->extents($this->verification->input->reach->machine)],
            'reach' => $this->reach(),
            'fit' => $this->fit(),
            ...(new StockResult($this->verification->input, $this->units))->fields(),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function operations(RunTimes $times): array
    {
        return array_map(
            static fn (array $operation): array => [
                'seconds' => round($operation['seconds'], 3), 'overridden' => round($operation['overridden'], 3),
            ] + $operation,
            $times->operations(),
        );
    }

    /** @return list<array<string, mixed>> */
    private function tools(RunTimes $times): array
    {
        $stock = $this->verification->setup->workpiece->stock;
        $lowest = $this->verification->input->heights->lowest;
        $tools = [];
        foreach ($times->tools as $number => [$seconds, $overridden]) {
            if ($number === 0) {
                continue;
            }
            $low = $lowest[$number] ?? null;
            $tools[] = [
                'number' => $number,
                'seconds' => round($seconds, 3),
                'overridden' => round($overridden, 3),
                'lowestZ' => $low === null ? null : $this->length($low),
                'deepestCut' => $low === null || $stock === null
                    || $this->verification->setup->machine->isLathe() ? null : $this->length(max(0.0, $stock->top() - $low)),
                'lengthFit' => $this->lengthFit($number),
            ];
        }

        return $tools;
    }

    /** @return array{number: int, range: array{float|null, float|null}|null}|null  null where the tool runs with no length offset */
    private function lengthFit(int $tool): ?array
    {
        $axis = $this->verification->setup->machine->lengthAxis();
        $index = $this->verification->setup->machine->axisIndex[$axis] ?? null;
        if ($index === null || $this->verification->setup->machine->isLathe()) {
            return null;
        }
        foreach ($this->verification->trace->states as $state) {
            if ($state->tool !== $tool || ! $state->lengthIsKnown() || $state->length->number === 0) {
                continue;
            }
            $range = $this->verification->input->reach->lengthFit($tool);
            $length = ($this->verification->setup->tooling->lengthOffsets[$state->length->number] ?? null)?->total() ?? 0.0;
            $added = $state->length->shift[$index];
            // Where the length is taken off instead of added, the range turns about.
            if ($range !== null && $length !== 0.0 && abs($added + $length) < abs($added - $length)) {
                $range = [-$range[1], -$range[0]];
            }

            return ['number' => $state->length->number, 'range' => $range === null ? null : [$this->on($axis, $range[0]), $this->on($axis, $range[1])]];
        }

        return null;
    }

    private function workExtents(): object
    {
        $work = [];
        foreach ($this->verification->input->reach->work as $name => $extents) {
            $work[$name] = $this->extents($extents);
        }

        return (object) $work;
    }

    /** @param  array<string, Extent>  $extents */
    private function extents(array $extents): object
    {
        $written = [];
        foreach ($extents as $axis => $extent) {
            if (! $extent->isEmpty()) {
                $written[$axis] = [$this->on($axis, $extent->min), $this->on($axis, $extent->max)];
            }
        }

        return (object) $written;
    }

    private function reach(): object
    {
        $reach = [];
        foreach ($this->verification->setup->machine->axes as $name => $axis) {
            $extent = $this->verification->input->reach->machine[$name];
            if ($extent->isEmpty()) {
                continue;
            }
            $reach[$name] = [
                'limit' => [$this->on($name, $axis->min), $this->on($name, $axis->max)],
                'used' => [$this->on($name, $extent->min), $this->on($name, $extent->max)],
                'spare' => [
                    $axis->min === null || ($axis->isRotary() && $extent->min - $axis->min > Axis::OPEN) ? null : $this->on($name, $extent->min - $axis->min),
                    $axis->max === null || ($axis->isRotary() && $axis->max - $extent->max > Axis::OPEN) ? null : $this->on($name, $axis->max - $extent->max),
                ],
                'lines' => array_map(fn (bool $above): ?int => $this->furthestLine($name, $above), [false, true]),
            ];
        }

        return (object) $reach;
    }

    /** The line of the program that takes an axis furthest to one side. */
    private function furthestLine(string $axis, bool $above): ?int
    {
        $place = $this->verification->input->reach->furthestAt($this->verification->trace, $axis, $above);

        return $place === null ? null : $this->verification->trace->sources->mainLine($place);
    }

    private function fit(): object
    {
        $fit = [];
        $reach = $this->verification->input->reach;
        foreach ($reach->work as $work => $extents) {
            foreach (array_keys($extents) as $axis) {
                $range = $reach->fit($work, $axis);
                $fit[$work][$axis] = $range === null ? null : [$this->on($axis, $range[0]), $this->on($axis, $range[1])];
            }
        }

        return (object) $fit;
    }

    private function length(float $millimetres): float
    {
        return (float) Quantity::length($millimetres)->in($this->units);
    }

    /** A position on an axis, null where there is none or no end to it. */
    private function on(string $axis, ?float $value): ?float
    {
        return $value === null || is_infinite($value) ? null : $this->verification->setup->machine->shown($axis, $value)->in($this->units);
    }
}
