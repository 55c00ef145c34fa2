<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tool that comes into the jaws, the chuck, the tailstock, the steady, or another zone. */
final class Zone extends LatheCheck
{
    public function name(): string
    {
        return 'turning.zone';
    }

    public function why(): string
    {
        return 'The jaws turn with the part and hit whatever reaches them; tailstock and steady stand in the way. Tools and jaws break, and pieces fly.';
    }

    public function gaps(CheckInput $input): iterable
    {
        $held = $input->setup->workholding;
        $chuck = $held->chuck;
        if ($chuck === null || (($chuck->jawFaceZ === null || $chuck->jawOuter === null) && ($chuck->faceZ === null || $chuck->bodyDiameter === null))) {
            yield $this->gap('No jaws given: nothing was checked against the chuck.', 'chuck');
        } elseif ($input->turned?->isComplete() !== true) {
            yield $this->gap('Without the stock nothing was checked against the chuck.');
        }
        if ($held->hasCenter() && ($held->tailstock?->mouth === null || $held->tailstock->quillDiameter === null)) {
            yield $this->gap('No Ø of the centre hole or of the quill given: nothing was checked against the tailstock.', 'tailstock');
        } elseif ($held->hasCenter() && ($held->tailstock?->quillReach === null || $held->tailstock->bodyDiameter === null)) {
            yield $this->gap('No body of the tailstock given: it was checked as far as the quill.', 'tailstock');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->turned->around->collisions ?? [] as $what => $cuts) {
            $byTool = [];
            foreach ($cuts as $cut) {
                $byTool[$cut->tool][] = $cut;
            }
            foreach ($byTool as $tool => $cuts) {
                $places = array_column($cuts, 'place');
                $deepest = $cuts[0];
                foreach ($cuts as $cut) {
                    $deepest = $cut->place === $places[0] && $cut->by > $deepest->by ? $cut : $deepest;
                }
                yield new Finding(
                    $this->name(), Severity::Stop, $places[0], 1, 'T{tool} comes {by} into {what}, at Z{z}.',
                    ['tool' => $tool, 'by' => Quantity::length($deepest->by), 'what' => $what, 'z' => Quantity::length($deepest->z)],
                    $what === 'the chuck' ? 'Stop short of the jaws, or let the part stand out further.' : 'Go around it, or move it out of the way.',
                    $places,
                );
            }
        }
    }
}
