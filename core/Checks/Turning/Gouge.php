<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A way down that is steeper than the back of the insert. */
final class Gouge extends LatheCheck
{
    public function name(): string
    {
        return 'turning.gouge';
    }

    public function why(): string
    {
        return 'Where the part falls off more steeply than the back of the insert, the back cuts what the tip has just made. The shape comes out wrong.';
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        foreach ($input->turned->watch->gouges ?? [] as $cut) {
            $told[$cut->tool][] = $cut;
        }
        foreach ($told as $tool => $cuts) {
            $places = array_column($cuts, 'place');
            yield new Finding(
                $this->name(), Severity::Stop, $places[0], 1, 'T{tool} goes down at {angle}; behind its tip the insert allows {most}.',
                [
                    'tool' => $tool, 'angle' => Quantity::angle($cuts[0]->by),
                    'most' => Quantity::angle((float) $input->setup->tooling->tools[$tool]->insert->trailingAngle()),
                ],
                'Take an insert with a smaller included angle, or cut this from the other side.', $places,
            );
        }
    }
}
