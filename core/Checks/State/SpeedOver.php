<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A speed above what the spindle or the tool may turn. */
final class SpeedOver extends MachineCheck
{
    public function name(): string
    {
        return 'state.speed-over';
    }

    public function why(): string
    {
        return 'Above its limit a tool may fly apart, and a spindle bearing suffers. Balance and chuck are rated for the limit, not beyond.';
    }

    public function examine(CheckInput $input): iterable
    {
        $seen = [];
        foreach ($input->trace->states as $number => $state) {
            $line = $input->cuts->firstRow[$number] ?? null;
            if ($state->spindle->turn === 0 || $line === null || $state->spindle->surfaceSpeed !== null) {
                continue;
            }
            $spindleMost = $input->setup->machine->spindle($state->spindle->name)->maxRpm ?? INF;
            $toolMost = ($input->setup->tooling->tools[$state->tool] ?? null)->limits->maxRpm ?? INF;
            $most = min($spindleMost, $toolMost);
            $key = $state->tool.'/'.$state->spindle->rpm;
            if ($state->spindle->rpm <= $most || isset($seen[$key])) {
                continue;
            }
            $seen[$key] = true;
            $word = $input->wordAt($line, 'S');
            yield new Finding(
                $this->name(), Severity::Stop, $word->line ?? $line, $word->column ?? 1,
                $toolMost < $spindleMost ? 'S{speed} is over the {limit} limit of T{tool}.' : 'S{speed} is over the {limit} limit of the spindle.',
                ['speed' => Quantity::written($state->spindle->rpm), 'limit' => Quantity::rpm($most), 'tool' => $state->tool],
                'Lower the speed, or correct the limit in the setup.', edit: $word?->replacedBy((string) (int) $this->meant($input, $state, $most)),
            );
        }
    }

    /** A tenth of the speed where that is much like another speed of the tool, as where a figure stands twice; or else the limit. */
    private function meant(CheckInput $input, State $state, float $most): float
    {
        foreach ($input->trace->states as $other) {
            if (
                $other->tool === $state->tool && $other->spindle->rpm > 0.0 && $other->spindle->rpm <= $most
                && abs(log($state->spindle->rpm / 10 / $other->spindle->rpm)) < M_LN2
            ) {
                return $state->spindle->rpm / 10;
            }
        }

        return $most;
    }
}
