<?php

declare(strict_types=1);

return [
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'url' => env('DB_URL'),
            'database' => env('DB_DATABASE', database_path('database.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            // Readers do not wait for whoever writes; who writes waits its turn, ms; what is acknowledged is on the disk.
            'journal_mode' => 'wal',
            'busy_timeout' => 15_000,
            'synchronous' => 'full',
        ],
    ],
];
