<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ModalGroup;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** What the program should say before it first moves, and does not. */
final class NoSafeStart extends MillCheck
{
    /** Modal group => what it decides, and the code that puts it right. */
    private const WANTED = [
        ModalGroup::Units->value => ['units', Code::UnitsMillimetre],
        ModalGroup::Plane->value => ['the plane', Code::PlaneXY],
        ModalGroup::Cutter->value => ['compensation off', Code::CutterOff],
        ModalGroup::Cycle->value => ['cycle off', Code::CycleOff],
        ModalGroup::Distance->value => ['absolute or incremental', Code::Absolute],
    ];

    public function name(): string
    {
        return 'reading.no-safe-start';
    }

    public function why(): string
    {
        return 'Modes stay as the last program or the operator left them. One left-over plane, increment or compensation moves the tool somewhere '
            .'else from the first line on.';
    }

    public function examine(CheckInput $input): iterable
    {
        $line = $input->firstMotion();
        if ($line === null) {
            return;
        }
        $missing = array_diff_key(self::WANTED, $input->statedBefore($line));
        unset($missing[ModalGroup::Units->value]); // state.units says so
        if ($missing === []) {
            return;
        }
        $codes = array_filter(array_map($input->setup->machine->control->codeOf(...), array_column($missing, 1)));
        yield new Finding(
            $this->name(), Severity::Caution, $line, 1, 'No safe-start line: before its first move the program does not state {what}. It runs in '
                .'whatever the control was left in.',
            ['what' => implode(', ', array_column($missing, 0)), 'codes' => implode(' ', $codes)], 'Begin the program with {codes}.',
            edit: $input->editWriter->before($input->firstBlock(), ...array_values($codes)),
        );
    }
}
