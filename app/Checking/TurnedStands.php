<?php

declare(strict_types=1);

namespace App\Checking;

use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\Turned\RadiusProfile;
use OakTrace\Core\Stock\Turned\TurnedStock;
use OakTrace\Core\Verification;

/** How the stock of a lathe stands at some moments of a run, for the browser to show. */
final class TurnedStands
{
    /**
     * Null where there is nothing to cut, or too much.
     *
     * @param  int|null  $row  the one row to tell the stand after; moments along the run where not given
     * @param  float  $unit  mm
     * @return array{after: list<int>, stands: list<list<array{0: float, 1: float, 2: list<float>}>>}|null
     */
    public static function of(string $text, Setup $setup, ?int $row, float $unit): ?array
    {
        $trace = Verification::trace(Program::fromText($text), $setup);
        $stock = TurnedStock::in($setup);
        if ($stock === null) {
            return null;
        }
        $stock->keepAfter(
            $row === null ? array_map(static fn (int $before): int => $before - 1, StockAnswer::moments($trace, $setup)) : [min($row, $trace->rows() - 1)],
        );
        $trace->show($stock);

        return $stock->isTooLong() ? null : [
            'after' => array_keys($stock->kept),
            'stands' => array_map(
                /** @param  list<RadiusProfile>  $parts */
                static fn (array $parts): array => TurnedScene::stands($parts, $unit), array_values($stock->kept),
            ),
        ];
    }
}
