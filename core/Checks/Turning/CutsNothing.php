<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tool of a lathe that is fed and cuts nothing, or is fed away from the part in front of it. */
final class CutsNothing extends LatheCheck
{
    public function name(): string
    {
        return 'turning.cuts-nothing';
    }

    public function why(): string
    {
        return 'A tool that cuts nothing usually has a wrong offset, sign or diameter. The same slip the other way is a crash.';
    }

    public function examine(CheckInput $input): iterable
    {
        if ($input->turned?->isComplete() !== true) {
            return;
        }
        $watch = $input->turned->watch;
        foreach ($watch->away as $number => $cut) {
            $word = $input->wordAt($cut->place, AxisName::Z);
            yield new Finding(
                $this->name(), Severity::Caution, $cut->place, 1, 'T{tool} is fed {by} away from the part, in front of it.',
                ['tool' => $number, 'by' => Quantity::length($cut->by)], 'Is a minus missing before Z?',
                edit: $word !== null && $word->line === $cut->place && $word->value() > 0.0 ? $word->replacedBy($word->otherSign()) : null,
            );
        }
        foreach (array_diff_key($watch->fed, $input->turned->cutting, $watch->away) as $number => $place) {
            yield new Finding(
                $this->name(), Severity::Caution, $place, 1, 'T{tool} is fed, and cuts no stock at all.', ['tool' => $number],
                'Check its offset, and its X and Z against the stock of the setup.',
            );
        }
    }
}
