<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A rapid of a lathe that goes into what stands there. */
final class RapidIntoStock extends LatheCheck
{
    public function name(): string
    {
        return 'turning.rapid-into-stock';
    }

    public function why(): string
    {
        return 'At rapid the tool meets a part that turns. It tears the part out of the jaws or breaks, and the turret may be out of line.';
    }

    public function gaps(CheckInput $input): iterable
    {
        $turned = $input->turned;
        if ($input->setup->workpiece->stock === null) {
            yield $this->gap('No stock given: rapids were not checked against it.', 'stock');
        } elseif ($turned === null) {
            yield $this->gap('The stock is no bar along Z: rapids were not checked against it.', 'stock');
        } elseif ($turned->isTooLong()) {
            yield $this->gap('There is too much to cut: the stock was not followed to the end.');
        } elseif (! $turned->isComplete()) {
            $tools = array_keys($turned->unknownTools);
            $tool = $input->setup->tooling->tools[$tools[0]] ?? null;
            $field = $tool?->insert->approachAngle === null ? 'approachAngle' : 'includedAngle';
            yield $this->gap(
                'The stock was followed up to T'.implode(', T',
                    $tools).' only: its approach and included angle, its width or the tip of its offset is not given.',
                $input->toolField($tools[0], $field),
            );
        }
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        foreach ($input->turned->rapids ?? [] as $cut) {
            if (! self::goesHome($input, $cut->place)) {
                $told[$cut->tool][] = $cut;
            }
        }
        foreach ($told as $tool => $cuts) {
            $places = array_column($cuts, 'place');
            yield new Finding(
                $this->name(), Severity::Stop, $places[0], 1, 'T{tool} rapids {by} into the stock at {x}, Z {z}.',
                [
                    'tool' => $tool, 'by' => Quantity::length($cuts[0]->by), 'x' => Quantity::diameter(2 * $cuts[0]->x), 'z' => Quantity::length($cuts[0]->z),
                ],
                'Go round what stands there, or feed this move.', $places,
            );
        }
    }
}
