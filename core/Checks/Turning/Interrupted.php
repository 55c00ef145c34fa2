<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Turning over a place where a driven tool has cut before. */
final class Interrupted extends LatheCheck
{
    public function name(): string
    {
        return 'turning.interrupted';
    }

    public function why(): string
    {
        return 'The insert strikes the edge of a cross hole or a flat at every turn. It chips, and the size there is not what it is beside it.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->turned->offCenter->interrupted ?? [] as [$cut, $before]) {
            yield new Finding(
                $this->name(), Severity::Note, $cut->place, 1, 'T{tool} turns over what T{other} has cut, at Z{z}: an interrupted cut.',
                ['tool' => $cut->tool, 'other' => $before->tool, 'z' => Quantity::length($cut->z)], 'Turn it first and drill it afterwards, where that can be.',
                [$before->place],
            );
        }
    }
}
