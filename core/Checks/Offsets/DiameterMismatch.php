<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Offsets;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Control\DIs;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Stock\Cutter;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A cutter offset that is not the diameter of its tool. */
final class DiameterMismatch extends MillCheck
{
    /** Reground cutters differ by less, mm (common practice). */
    private const ALIKE = 0.05;

    /** What a second offset for roughing leaves, as a share of the diameter, at the most (common practice). */
    private const LEFT = 0.25;

    public function name(): string
    {
        return 'offsets.diameter-mismatch';
    }

    public function why(): string
    {
        return 'Compensation shifts the path by this value. If it is not the tool\'s, every wall is off by the difference.';
    }

    public function examine(CheckInput $input): iterable
    {
        $radius = $input->setup->machine->control->options->dIs === DIs::Radius;
        $seen = [];
        foreach ($input->trace->states as $number => $state) {
            $tool = $input->setup->tooling->tools[$state->tool] ?? null;
            $diameter = $tool?->geometry->diameter;
            $offset = $input->setup->tooling->diameterOffsets[$state->cutter->number] ?? null;
            $line = $input->cuts->firstCut[$number] ?? null;
            $key = $state->tool.'/'.$state->cutter->number;
            if ($state->cutter->side === 0 || $diameter === null || $offset === null || $line === null || isset($seen[$key])) {
                continue;
            }
            $seen[$key] = true;
            $by = abs(($radius ? 2 : 1) * $offset->geometry - $diameter);
            if (
                $by <= max(self::ALIKE, abs($offset->wear))
                || (
                    $by <= self::LEFT * $diameter && ($radius ? 2 : 1) * $offset->geometry > $diameter
                    && $this->isFinished($input, $state->tool, $diameter, $radius)
                )
            ) {
                continue;
            }
            if ($tool !== null && $this->isWhereItCuts($tool, ($radius ? 2 : 1) * $offset->geometry)) {
                continue;
            }
            yield new Finding(
                $this->name(), Severity::Caution, $line, 1, 'D{number} holds a diameter of {diameter}; T{tool} is {tooldiameter}.',
                [
                    'number' => $state->cutter->number, 'diameter' => Quantity::length(($radius ? 2 : 1) * $offset->geometry), 'tool' => $state->tool,
                    'tooldiameter' => Quantity::length($diameter),
                ],
                $radius
                    ? 'This control stores radii: was a diameter entered?'
                    : 'This control stores diameters: was a radius entered, or is another tool meant?', field: 'offsets.D.'.$state->cutter->number,
            );
        }
    }

    /** Of a pointed tool the offset is what it measures where it cuts, which is less than its diameter; half of that is rather a radius. */
    private function isWhereItCuts(Tool $tool, float $offset): bool
    {
        return (Cutter::of($tool)->rise ?? 0.0) > 0.0
            && $offset < ($tool->geometry->diameter ?? 0.0) && abs($offset - ($tool->geometry->diameter ?? 0.0) / 2) > self::ALIKE;
    }

    /** Whether a tool also runs with an offset that is its diameter, so that another is there to leave something. */
    private function isFinished(CheckInput $input, int $tool, float $diameter, bool $radius): bool
    {
        foreach ($input->trace->states as $state) {
            $offset = $state->tool === $tool && $state->cutter->side !== 0 ? $input->setup->tooling->diameterOffsets[$state->cutter->number] ?? null : null;
            if ($offset !== null && abs(($radius ? 2 : 1) * $offset->geometry - $diameter) <= self::ALIKE) {
                return true;
            }
        }

        return false;
    }
}
