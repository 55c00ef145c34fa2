<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Travel;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A motion before a work offset is stated, or with one the setup does not have. */
final class NoWorkOffset extends MillCheck
{
    public function name(): string
    {
        return 'travel.no-work-offset';
    }

    public function why(): string
    {
        return 'The part is then wherever the stored numbers say. An old offset may be on another vice or another table.';
    }

    public function examine(CheckInput $input): iterable
    {
        $carried = $input->cuts->firstCarried;
        asort($carried);
        $unset = [];
        $unstated = null;
        foreach ($carried as $number => $line) {
            $state = $input->trace->states[$number];
            if (! $state->work->isSet) {
                $unset[$state->work->name] ??= $line;
            } elseif (! $state->work->isStated) {
                $unstated ??= [$line, $state->work->name];
            }
        }
        foreach ($unset as $work => $line) {
            yield new Finding(
                $this->name(), Severity::Stop, $line, 1,
                'The program runs in {work}, and the setup has no {work}: the machine would use whatever is stored there.',
                ['work' => $work], 'Touch off {work} and enter it in the setup.', field: 'workOffsets.'.$work,
            );
        }
        if ($unstated !== null) {
            yield new Finding(
                $this->name(), Severity::Caution, $unstated[0], 1,
                'The program moves before it states a work offset; {work} was used, since this control starts in it.',
                ['work' => $unstated[1]], 'State {work} before the first move.',
                edit: str_contains($unstated[1], 'P') ? null : $input->editWriter->lead($unstated[0], $unstated[1]),
            );
        }
    }
}
