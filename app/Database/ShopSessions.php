<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\QueryException;
use Illuminate\Session\DatabaseSessionHandler;

/**
 * A session is written when the answer is ready: what the request stored is stored by then. A server that cannot write down that
 * somebody was here must not say that nothing was stored. A session that is new and cannot be written still fails.
 */
final class ShopSessions extends DatabaseSessionHandler
{
    /**
     * @param  string  $sessionId
     * @param  array<string, mixed>  $payload
     */
    protected function performInsert($sessionId, $payload): bool
    {
        return $this->getQuery()->insertOrIgnore(['id' => $sessionId] + $payload) === 1;
    }

    /**
     * @param  string  $sessionId
     * @param  array<string, mixed>  $payload
     */
    protected function performUpdate($sessionId, $payload): int
    {
        try {
            return parent::performUpdate($sessionId, $payload);
        } catch (QueryException $e) {
            report($e);

            return 0;
        }
    }
}
