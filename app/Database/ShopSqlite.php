<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\SQLiteConnection;
use Throwable;

/**
 * SQLite refuses at once, without waiting, a transaction that has read and then wants to write while another one writes. Every
 * transaction here is one that writes, so it begins with a write and waits its turn there.
 */
final class ShopSqlite extends SQLiteConnection
{
    protected function executeBeginTransactionStatement(): void
    {
        parent::executeBeginTransactionStatement();
        try {
            $this->getPdo()->exec('PRAGMA user_version = 1');
        } catch (Throwable $e) {
            $this->getPdo()->rollBack();

            throw $e;
        }
    }
}
