<?php

declare(strict_types=1);

namespace App\Checking;

use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\StockRun;

/**
 * The stock a program is run in on the way to its verdict, the same wherever the application asks for one. It has to be ready
 * while somebody types, so a longer program is judged by the stock as given; `./oak check` simulates any.
 */
final class SimulatedStock
{
    /** Null where the setup has none. Of a text that is too long nothing is taken out of it, and it says so. */
    public static function of(Setup $setup, string $text): ?StockRun
    {
        return StockRun::in($setup, mostVisits: strlen($text) > (int) config('oak.stock_program') ? 0 : (int) config('oak.stock_visits'));
    }
}
