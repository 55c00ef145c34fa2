<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Facing that ends short of the axis, so that something is left standing there. */
final class Pip extends LatheCheck
{
    public function name(): string
    {
        return 'turning.pip';
    }

    public function why(): string
    {
        return 'A round nose that stops with its tip on the axis leaves a pip. A drill that comes next runs off on it.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->turned->watch->pips ?? [] as $number => $cut) {
            $radius = $input->setup->tooling->tools[$number]->geometry->cornerRadius;
            yield new Finding(
                $this->name(), Severity::Note, $cut->place, 1, 'T{tool} leaves a pip of {height} on the axis.',
                ['tool' => $number, 'height' => Quantity::length($cut->by), 'to' => Quantity::diameter(-2 * $radius)], 'Face to X{to}.',
            );
        }
    }
}
