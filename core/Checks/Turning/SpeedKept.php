<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A cut at the speed the spindle happened to have when a surface speed was switched off; a surface speed that comes back without one. */
final class SpeedKept extends LatheCheck
{
    public function name(): string
    {
        return 'turning.speed-kept';
    }

    public function why(): string
    {
        return 'Switched off without an S, a surface speed leaves the spindle as fast as it was at that diameter. The next tool cuts at a speed nobody chose.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->folded('surface-speed-kept') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Note, $notice->line, $notice->column,
                '{code surface-speed} says no speed: {speed}, said before, is in force again.', $notice->figures,
                'Say it again with S: not every control keeps it.', $also,
            );
        }
        $cuts = $input->cuts->firstCut;
        asort($cuts);
        $seen = [];
        foreach ($cuts as $number => $line) {
            $state = $input->trace->states[$number];
            $rpm = $state->spindle->rpm;
            // Nobody writes such figures: they come of a surface speed at a diameter.
            $isWritten = $state->spindle->surfaceSpeed !== null || $state->spindle->isDriven() || abs($rpm * 10 - round($rpm * 10)) < 1e-6;
            if ($isWritten || isset($seen[$state->tool]) || $input->wordAt($line, 'S') === null) {
                continue;
            }
            $seen[$state->tool] = true;
            yield new Finding(
                $this->name(), Severity::Caution, $line, 1, 'T{tool} cuts at {speed}: what the surface speed before it has left.',
                ['tool' => $state->tool, 'speed' => Quantity::rpm($rpm)], 'Say the speed with {code spindle-speed} S.',
            );
        }
    }
}
