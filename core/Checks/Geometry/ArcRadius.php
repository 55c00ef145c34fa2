<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Trace\Quantity;

/** An arc whose end does not lie on its circle. */
final class ArcRadius implements Check
{
    public function name(): string
    {
        return 'geometry.arc-radius';
    }

    public function examine(Evidence $evidence): iterable
    {
        foreach ($evidence->onceALine('radius-mismatch') as $notice) {
            if ($evidence->slips()->explainsAxis('X', $notice->line - 1) || $evidence->slips()->explainsAxis('Y', $notice->line - 1)) {
                continue; // the arc starts where a slip has sent the tool
            }
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                'The arc starts on a radius of {startRadius} and ends on {endRadius}: {by} apart. Allowed: {allowed}.',
                $notice->figures + ['allowed' => Quantity::length($evidence->setup->machine->control->switches->arcTolerance)],
                'Check the end point and the centre. A centre that fits these ends: {firstLetter} {centerI} {secondLetter} {centerJ} from the start.', edit: $this->fittingCentre($evidence, $notice),
            );
        }
    }

    /** The centre that fits, where both its words stand in the line and count from the start. */
    private function fittingCentre(Evidence $evidence, Notice $notice): ?Edit
    {
        if ($evidence->amend->placeOf($notice->line, Code::CentreAbsolute) !== null) {
            return null;
        }
        $changes = [];
        foreach (['firstLetter' => 'centerI', 'secondLetter' => 'centerJ'] as $letter => $centre) {
            $word = PlacedWord::find($evidence->trace->library->text($notice->line), $notice->line, $notice->word($letter));
            $value = $notice->figures[$centre] ?? null;
            if ($word === null || ! $value instanceof Quantity) {
                return null;
            }
            $changes[] = $word->replacedBy($evidence->written($value->value));
        }

        return $changes[0]->labelled('Put the centre that fits')->and($changes[1]);
    }
}
