<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tool that comes into the jaws or the chuck. */
final class Zone extends LatheCheck
{
    public function name(): string
    {
        return 'turning.zone';
    }

    public function why(): string
    {
        return 'The jaws turn with the part and hit whatever reaches them. The tool, the turret and the jaws break, and pieces fly.';
    }

    public function gaps(CheckInput $input): iterable
    {
        $chuck = $input->setup->workholding->chuck;
        if ($chuck === null || (($chuck->jawFaceZ === null || $chuck->jawOuter === null) && ($chuck->faceZ === null || $chuck->bodyDiameter === null))) {
            yield $this->gap('No jaws given: nothing was checked against the chuck.', 'chuck');
        } elseif ($input->turned?->isComplete() === true) {
            yield $this->gap('Inserts and blades were checked against the chuck, their holders were not.');
        } else {
            yield $this->gap('Without the stock nothing was checked against the chuck.');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        foreach ($input->turned->inChuck ?? [] as $cut) {
            $told[$cut->tool][] = $cut;
        }
        foreach ($told as $tool => $cuts) {
            $deepest = $cuts[0];
            foreach ($cuts as $cut) {
                $deepest = $cut->by > $deepest->by ? $cut : $deepest;
            }
            $places = array_values(array_unique(array_column($cuts, 'place')));
            yield new Finding(
                $this->name(), Severity::Stop, $places[0], 1, 'T{tool} comes {by} into the chuck, at Z{z}.',
                ['tool' => $tool, 'by' => Quantity::length($deepest->by), 'z' => Quantity::length($deepest->z)],
                'Stop short of the jaws, or let the part stand out further.', array_slice($places, 1),
            );
        }
    }
}
