<?php

declare(strict_types=1);

return [
    'channels' => [
        // A file a day, kept for two weeks.
        'daily' => ['driver' => 'daily', 'path' => storage_path('logs/laravel.log'), 'level' => env('LOG_LEVEL', 'warning'), 'days' => 14],
    ],
];
