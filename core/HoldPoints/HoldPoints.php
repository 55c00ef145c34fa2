<?php

declare(strict_types=1);

namespace OakTrace\Core\HoldPoints;

use OakTrace\Core\Checks\PassSurvey;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\Turned\TurnedCut;
use OakTrace\Core\Stock\Turned\TurnedStock;
use OakTrace\Core\Trace\Trace;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;
use OakTrace\Core\Wording\Wording;

/**
 * The moments to watch in a first run: what a setter would stand at the hold button for.
 */
final class HoldPoints
{
    /** @var array<int, non-empty-array<string, Reason>> row => reason in words => what kind it is */
    private array $reasons = [];

    private readonly Wording $wording;

    private readonly Machine $machine;

    private function __construct(private readonly Trace $trace, private readonly Setup $setup, private readonly HoldSurvey $survey)
    {
        $this->machine = $setup->machine;
        $this->wording = new Wording($trace->end->modes->units);
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<HoldPoint> the weightiest first
     */
    public static function of(
        Trace $trace, Setup $setup, HoldSurvey $survey, array $findings, PassSurvey $passes, ?TurnedStock $turned = null,
    ): array {
        $points = new self($trace, $setup, $survey);
        $points->note($findings, $passes, $turned);

        return $points->ranked();
    }

    /** @param  list<Finding>  $findings */
    private function note(array $findings, PassSurvey $passes, ?TurnedStock $turned): void
    {
        $holds = $this->survey;
        foreach ($holds->firsts as [$row, $reason, $what]) {
            $this->add($row, $reason, $what);
        }
        if ($holds->lowest !== null) {
            $this->add($holds->lowest[0], Reason::Lowest, 'Z '.$this->length($holds->lowest[1]));
        }
        if ($holds->closest !== null) {
            $this->add($holds->closest[0], Reason::ClosestRapid, $this->length($holds->closest[1]).' off');
        }
        if ($holds->limit !== null) {
            $this->add($holds->limit[0], Reason::ClosestToLimit, $holds->limit[2].' with '.$this->onAxis($holds->limit[2], $holds->limit[1]).' to spare');
        }
        $places = [];
        foreach ($findings as $finding) {
            if ($finding->severity === Severity::Caution) {
                $places[$finding->line][] = [Reason::Caution, self::title($finding)];
            }
        }
        $steps = $passes->steps();
        usort($steps, static fn ($a, $b): int => $b->depth <=> $a->depth);
        if ($steps !== [] && $steps[0]->depth > 0.0) {
            $places[$steps[0]->pass->line][] = [Reason::LargestStep, $this->length($steps[0]->depth)];
        }
        foreach ($turned->partings ?? [] as $cut) {
            $places[$cut->place][] = [Reason::PartOff, "T{$cut->tool}"];
        }
        $deepest = array_values(array_filter(
            $turned->deepest ?? [], fn (TurnedCut $cut): bool => ($this->setup->tooling->tools[$cut->tool] ?? null)?->kind->turns() === true,
        ));
        usort($deepest, static fn (TurnedCut $a, TurnedCut $b): int => $b->by <=> $a->by);
        if ($deepest !== []) {
            $places[$deepest[0]->place][] = [Reason::LargestStep, $this->length($deepest[0]->by)];
        }
        foreach ($this->trace->chunks() as $number => $chunk) {
            [$least, $most] = $holds->chunks[$number];
            foreach ($places as $place => $reasons) {
                $row = $place < $least || $place > $most ? false : array_search($place, $chunk->lines(), true);
                if ($row !== false) {
                    foreach ($reasons as [$reason, $what]) {
                        $this->add($chunk->first + $row, $reason, $what);
                    }
                    unset($places[$place]);
                }
            }
        }
    }

    /** @return list<HoldPoint> */
    private function ranked(): array
    {
        $order = [];
        foreach ($this->reasons as $row => $reasons) {
            uasort($reasons, static fn (Reason $a, Reason $b): int => $a->value <=> $b->value);
            $weights = array_map(static fn (Reason $reason): int => $reason->value, $reasons);
            $order[] = [min($weights) - count($reasons) / 100, $row, array_keys($reasons)];
        }
        sort($order);
        $rows = $this->rows(array_column($order, 1));
        $points = [];
        foreach ($order as [, $row, $reasons]) {
            [$line, $number, $positions, $seconds] = $rows[$row];
            $state = $this->trace->states[$number];
            $shown = $machine = [];
            foreach ($this->machine->axisNames as $axis => $name) {
                $machine[$name] = $positions[$axis];
                $shown[$name] = $positions[$axis] - $state->shift($axis);
            }
            $points[] = new HoldPoint($row, $line, $state->tool, $reasons, $shown, $machine, $seconds);
        }

        return $points;
    }

    /**
     * @param  list<int>  $wanted
     * @return array<int, array{int, int, list<float>, float}> row => place, state, machine positions, seconds into the run
     */
    private function rows(array $wanted): array
    {
        sort($wanted);
        $rows = [];
        foreach ($this->trace->chunks() as $number => $chunk) {
            while ($wanted !== [] && $wanted[0] < $chunk->first + $chunk->count) {
                $row = array_shift($wanted) - $chunk->first;
                $positions = array_map(static fn (int $axis): float => $chunk->axis($axis)[$row], array_keys($this->trace->axisNames));
                $rows[$chunk->first + $row] = [
                    $chunk->lines()[$row], $chunk->states()[$row], $positions,
                    $this->survey->chunks[$number][2] + array_sum(array_slice($chunk->seconds(), 0, $row + 1)),
                ];
            }
        }

        return $rows;
    }

    private function add(int $row, Reason $reason, string $what): void
    {
        $this->reasons[$row][$reason->words($what, $this->machine->isLathe())] = $reason;
    }

    private function onAxis(string $axis, float $value): string
    {
        return $this->wording->figure($this->machine->shown($axis, $value));
    }

    private function length(float $millimetres): string
    {
        return $this->wording->figure(Quantity::length($millimetres));
    }

    /** The check's name without its group, as words. */
    private static function title(Finding $finding): string
    {
        return str_replace('-', ' ', substr($finding->check, 1 + (int) strpos($finding->check, '.')));
    }
}
