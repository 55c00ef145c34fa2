<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Units never stated, switched midway, or other than the setup's. */
final class UnitsStated extends MachineCheck
{
    public function name(): string
    {
        return 'state.units';
    }

    public function why(): string
    {
        return 'Read in the other unit every move is 25.4 times too long or too short. The first rapid may already end in the vice.';
    }

    public function examine(CheckInput $input): iterable
    {
        $setup = $input->setup->units;
        foreach ($input->trace->noticesOf('units-not-stated') as $notice) {
            $default = $notice->word('units');
            $differs = $default !== $setup->value;
            yield new Finding(
                $this->name(), $differs ? Severity::Stop : Severity::Caution, 1, 1,
                $differs
                    ? 'The program never says its units. This control starts in {units}, and the setup is in {setup}.'
                    : 'The program never says its units; it runs in whatever the control was left in.',
                ['units' => $default, 'setup' => $setup->value],
                $setup === Units::Inch ? 'Put {code units-inch} in the first line.' : 'Put {code units-millimetre} in the first line.',
                edit: $input->editWriter->before($input->firstBlock(), $setup === Units::Inch ? Code::UnitsInch : Code::UnitsMillimetre),
            );

            return;
        }
        foreach ($input->folded('units-switched') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Caution, $notice->line, $notice->column,
                'The program changes to {units} midway.', $notice->figures, 'Keep one unit through the program.', $also,
            );

            return;
        }
        foreach ($input->trace->states as $number => $state) {
            $line = $input->cuts->firstCarried[$number] ?? null;
            if ($line !== null && $state->modes->units !== $setup) {
                yield new Finding(
                    $this->name(), Severity::Stop, $line, 1,
                    'The program is in {units}; the setup is in {setup}.', ['units' => $state->modes->units->value, 'setup' => $setup->value],
                    'State the units of the drawing, or change those of the setup.', field: 'units',
                );

                return;
            }
        }
    }
}
