<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A turret that turns close to the part. */
final class Index extends LatheCheck
{
    /** What the tools beside it sweep, mm (common practice). */
    private const CLEARANCE = 20.0;

    /** No tool passes that near, mm. */
    private const TOUCH = 2.0;

    public function name(): string
    {
        return 'turning.index';
    }

    public function why(): string
    {
        return 'As the turret turns, its other tools sweep a circle round it. Too close to the part or the jaws, one of them hits.';
    }

    public function examine(CheckInput $input): iterable
    {
        $stock = $input->setup->workpiece->stock;
        $nearest = null;
        if ($stock === null || $input->turned === null) {
            return;
        }
        foreach ($input->lathe->indexed as $index) {
            $away = hypot(max(0.0, $index['z'] - $stock->max[2]), max(0.0, $index['x'] - $stock->max[0]));
            if ($index['z'] >= $stock->min[2] && $away < self::CLEARANCE && ($nearest === null || $away < $nearest[0])) {
                $nearest = [$away, $index];
            }
        }
        if ($nearest !== null) {
            [$away, $index] = $nearest;
            yield new Finding(
                $this->name(), $away < self::TOUCH ? Severity::Stop : Severity::Caution, $index['place'], 1,
                'The turret turns with T{tool} {away} from the stock.', ['tool' => $index['tool'], 'away' => Quantity::length($away)],
                'Go further away before the next tool is called.',
            );
        }
    }
}
