<?php

declare(strict_types=1);

return [
    'connections' => [
        'database' => [
            'driver' => 'database',
            'connection' => env('DB_QUEUE_CONNECTION'),
            'table' => 'jobs',
            'queue' => 'default',
            // Longer than the longest check, or a second worker would begin it again.
            'retry_after' => 3600,
            'after_commit' => true,
        ],
    ],
];
