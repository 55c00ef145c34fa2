<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\Turned\Solid;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A turret that turns close to the part. */
final class Index extends LatheCheck
{
    /** What the tools beside it sweep where the turret does not say it, mm (common practice). */
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
        $clearance = $input->setup->machine->turret->clearance ?? self::CLEARANCE;
        $nearest = null;
        if ($input->turned === null || $input->setup->machine->posts !== null) {
            return; // side by side they stay where they are
        }
        $around = self::around($input->setup);
        foreach ($input->lathe->indexed as $index) {
            foreach ($around as [$what, $from, $to, $radius]) {
                $away = hypot(max(0.0, $from - $index['z'], $index['z'] - $to), max(0.0, $index['x'] - $radius));
                if ($away < $clearance && ($nearest === null || $away < $nearest[0])) {
                    $nearest = [$away, $index, $what];
                }
            }
        }
        if ($nearest !== null) {
            [$away, $index, $what] = $nearest;
            yield new Finding(
                $this->name(), $away < self::TOUCH ? Severity::Stop : Severity::Caution, $index['place'], 1,
                'The turret turns with T{tool} {away} from {what}.', ['tool' => $index['tool'], 'away' => Quantity::length($away), 'what' => $what],
                'Go further away before the next tool is called.',
            );
        }
    }

    /** @return list<array{string, float, float, float}> what stands near: name, from and to along Z, radius */
    private static function around(Setup $setup): array
    {
        [$stock, $chuck, $around] = [$setup->workpiece->stock, $setup->workholding->chuck, []];
        if ($stock !== null) {
            $around[] = ['the stock', $stock->around->low->z, $stock->around->high->z, $stock->around->high->x];
        }
        if ($chuck?->jawFaceZ !== null && $chuck->jawOuter !== null) {
            $around[] = ['the jaws', -INF, $chuck->jawFaceZ, $chuck->jawOuter / 2];
        }
        foreach (Solid::around($setup) as $solid) {
            [$zs, $radii] = [array_column($solid->profile, 0), array_column($solid->profile, 1)];
            $around[] = [$solid->name, min($zs ?: [0.0]), max($zs ?: [0.0]), max($radii ?: [0.0])];
        }

        return $around;
    }
}
