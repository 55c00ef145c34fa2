<?php

declare(strict_types=1);

return [
    'disks' => [
        // What cannot be written is an error, never a file in part.
        'local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false, 'throw' => true],
    ],
];
