<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Travel;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A part that sticks out further from its rotary centre than the tool can be lifted over when it turns. */
final class RotaryRadius extends MillCheck
{
    public function name(): string
    {
        return 'travel.rotary-radius';
    }

    public function why(): string
    {
        return 'The corner of a turning part reaches further than its faces. The tool has to be lifted above that circle first.';
    }

    public function examine(CheckInput $input): iterable
    {
        $setup = $input->setup;
        $lift = $setup->machine->axes[$setup->machine->lengthAxis()]->max ?? null;
        if ($setup->workpiece->stock === null || $lift === null) {
            return;
        }
        foreach ($setup->rotaryCenters as $axis => $center) {
            foreach ($input->turns->first[$axis] ?? [] as $tool => [$line, $number]) {
                $state = $input->trace->states[$number];
                [$radius, $height] = $input->turns->swing($axis, $center);
                $length = $state->length->shift[$setup->machine->axisIndex[$setup->machine->lengthAxis()]];
                $needed = $height + $radius + ($setup->margins->clearance ?? 0.0) + $length;
                if ($needed <= $lift + 1e-6) {
                    continue;
                }
                yield new Finding(
                    $this->name(), Severity::Stop, $line, 1,
                    'When {axis} turns, the stock swings {radius} about its centre. To clear it T{tool} must be lifted to {needed} in the machine, '
                        .'{by} beyond the end of {lift}.',
                    [
                        'axis' => $axis, 'radius' => Quantity::length($radius), 'tool' => $tool, 'needed' => Quantity::length($needed),
                        'by' => Quantity::length($needed - $lift), 'lift' => $setup->machine->lengthAxis(),
                    ],
                    'Turn with a shorter tool, without one, or with the part nearer to the centre.', field: 'rotaryCenters.'.$axis,
                );
                break;
            }
        }
    }
}
