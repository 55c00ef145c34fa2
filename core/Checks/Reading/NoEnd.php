<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A program without its end code. */
final class NoEnd extends MachineCheck
{
    /** Notices after which the rest of the program has not been read. */
    private const BROKEN_OFF = [
        'alarm' => 1, 'endless' => 1, 'never-ends' => 1, 'runaway' => 1, 'called-too-often' => 1, 'nested-too-deep' => 1, 'no-target' => 1,
    ];

    public function name(): string
    {
        return 'reading.no-end';
    }

    public function why(): string
    {
        return 'Without its end code the program may stop with spindle and coolant on, or run on into what is stored behind it. The next start '
            .'then begins in the middle.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->folded('no-return', 'program') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Caution, $notice->line, 1, '{program} has no end code: the control may not return from it.',
                $notice->figures, 'End {program} with {code subprogram-end}.', $also,
            );
        }
        if ($input->trace->ended || array_intersect_key($input->trace->noticeCounts, self::BROKEN_OFF) !== []) {
            return;
        }
        if ($input->trace->blocks === 0) {
            yield new Finding(
                $this->name(), Severity::Caution, 1, 1, 'There is no block in this program.', [], 'Write the program, or import it from a file.',
            );

            return;
        }
        yield new Finding(
            $this->name(), Severity::Caution, max(1, $input->trace->lastLine), 1,
            'The program has no end code: spindle and coolant stay as they are, and the control may not rewind.',
            ['end' => $this->endCode($input)], 'End the program with {end}.', edit: $input->editWriter->after(
                max(1, $input->trace->lastLine), $this->endCode($input),
            ),
        );
    }

    /** The end that rewinds, where the control has it. */
    private function endCode(CheckInput $input): string
    {
        $control = $input->setup->machine->control;

        return ($control->mCodes[300] ?? null) === Code::ProgramEnd ? 'M30' : $control->codeOf(Code::ProgramEnd) ?? '';
    }
}
