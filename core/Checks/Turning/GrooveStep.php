<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Grooves side by side that are further apart than the blade is wide. */
final class GrooveStep extends LatheCheck
{
    public function name(): string
    {
        return 'turning.groove-step';
    }

    public function why(): string
    {
        return 'A step wider than the blade leaves a rib standing between two plunges. It bends the blade aside, and breaks off where it likes.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->lathe->plunges as $place => ['tool' => $number, 'at' => $at]) {
            $width = ($input->setup->tooling->tools[$number] ?? null)?->insert->width;
            $step = 0.0;
            for ($i = 1, $n = count($at); $i < $n; $i++) {
                $step = max($step, abs($at[$i] - $at[$i - 1]));
            }
            if ($width === null || $step <= $width + 1e-6) {
                continue;
            }
            yield new Finding(
                $this->name(), Severity::Caution, $place, 1, 'T{tool} steps {step} from plunge to plunge, and is {width} wide: a rib of {rib} is left.',
                [
                    'tool' => $number, 'step' => Quantity::length($step), 'width' => Quantity::length($width), 'rib' => Quantity::length($step - $width),
                ],
                'Step less than the width of the blade.',
            );
        }
    }
}
