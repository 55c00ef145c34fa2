<?php

declare(strict_types=1);

return [
    'connections' => [
        'database' => [
            'driver' => 'database',
            'connection' => env('DB_QUEUE_CONNECTION'),
            'table' => 'jobs',
            'queue' => 'default',
            // A worker keeps what it works at its own by a sign of life every few seconds; one that was killed gives none, and another takes it up.
            'retry_after' => (int) env('DB_QUEUE_RETRY_AFTER', 180),
            'after_commit' => true,
        ],
    ],
];
