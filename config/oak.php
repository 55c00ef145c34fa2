<?php

declare(strict_types=1);

return [
    // Bytes; a program larger than this is refused with the limit named.
    'largest_program' => 10 * 1024 * 1024,

    // Bytes; a setup file is text of a few kilobytes.
    'largest_setup' => 1024 * 1024,
];
