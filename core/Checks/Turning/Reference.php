<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A way home that leads through the part. */
final class Reference extends LatheCheck
{
    public function name(): string
    {
        return 'turning.reference';
    }

    public function why(): string
    {
        return 'On the way home both axes move at once, first to the point in the block. From a bore or behind a shoulder that way leads through the part.';
    }

    public function examine(CheckInput $input): iterable
    {
        $told = $isIn = [];
        foreach ($input->turned->rapids ?? [] as $cut) {
            if (! self::goesHome($input, $cut->place)) {
                $isIn[$cut->tool] = true; // it went into the part before, and that is told
            } elseif (! isset($isIn[$cut->tool])) {
                $told[$cut->tool][] = $cut;
            }
        }
        foreach ($told as $tool => $cuts) {
            $places = array_column($cuts, 'place');
            yield new Finding(
                $this->name(), Severity::Stop, $places[0], 1, 'T{tool} goes home {by} through the part, at {x}, Z {z}.',
                [
                    'tool' => $tool, 'by' => Quantity::length($cuts[0]->by), 'x' => Quantity::diameter(2 * $cuts[0]->x), 'z' => Quantity::length($cuts[0]->z),
                ],
                'Leave the part first: Z out of a bore, X off an outside. Then send the axes home from where they stand.', $places,
            );
        }
    }
}
