<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;

/** Where what is cut of the stock is not known, so that the checks of the cut have less to go by. */
final class NotFollowed implements Check
{
    public function name(): string
    {
        return 'cutting.not-followed';
    }

    public function examine(Evidence $evidence): iterable
    {
        $stock = $evidence->stock;
        $line = $evidence->firstBlock();
        if ($stock === null) {
            return;
        }
        if ($stock->isTooLong) {
            yield new Finding(
                $this->name(), Severity::Note, $line, 1,
                'What this program cuts is not worked out: it would take too long while somebody waits. The stock is taken as given.', [],
                'The command line works it out: oak check.',
            );
        } elseif ($stock->isTurned) {
            yield new Finding(
                $this->name(), Severity::Note, $line, 1,
                'The part is turned by a rotary axis: what is cut after that is not followed, and the stock is taken as given.', [],
                'Look at those cuts in the drawing.',
            );
        }
        if ($stock->unknownTools !== []) {
            yield new Finding(
                $this->name(), Severity::Note, $line, 1,
                'What T{tools} cuts is not followed: its diameter is not given.', ['tools' => implode(', T', array_keys($stock->unknownTools))],
                'Give its diameter in the setup.',
            );
        }
    }
}
