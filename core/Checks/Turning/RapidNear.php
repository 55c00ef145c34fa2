<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A rapid of a lathe that ends nearer to the raw stock than the clearance. */
final class RapidNear extends LatheCheck
{
    public function name(): string
    {
        return 'turning.rapid-near';
    }

    public function why(): string
    {
        return 'Raw stock is seldom as straight and as long as the setup says. A bar that runs out or stands further out meets the tool at rapid.';
    }

    public function gaps(CheckInput $input): iterable
    {
        if ($input->turned !== null && $input->setup->margins->clearance === null) {
            yield $this->gap('No clearance given: how near rapids come to the raw stock was not checked.', 'clearance');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        foreach ($input->turned->near->found ?? [] as $cut) {
            $told[$cut->tool][] = $cut;
        }
        foreach ($told as $tool => $cuts) {
            $places = array_column($cuts, 'place');
            yield new Finding(
                $this->name(), Severity::Caution, $places[0], 1, 'T{tool} rapids to {by} from the raw stock, at {x}, Z {z}; the clearance is {clearance}.',
                [
                    'tool' => $tool, 'by' => Quantity::length(round($cuts[0]->by, 2)),
                    'x' => Quantity::diameter(2 * $cuts[0]->x), 'z' => Quantity::length($cuts[0]->z),
                    'clearance' => Quantity::length($input->setup->margins->clearance ?? 0.0),
                ],
                'End the rapid further away, or enter the clearance you work with. In X it counts on the diameter.', $places,
            );
        }
    }
}
