<?php

declare(strict_types=1);

return [
    // Bytes; a program larger than this is refused with the limit named.
    'largest_program' => 48 * 1024 * 1024,

    // Rows; a run that makes more is checked by the queue, with its progress shown, be its text long or a loop of three lines.
    'long_run' => 100_000,

    // Bytes; a larger text is fetched by its page rather than sent along with it.
    'large_text' => 2 * 1024 * 1024,

    // Seconds a reading may take while somebody waits; a loop that takes longer is handed to the queue, whatever the size of its text.
    'wait_seconds' => 4,

    // Checks and other questions of one person about a text that are at work at a time, and seconds a further one waits for its turn.
    'checks_of_one_person' => 3,
    'slot_wait_seconds' => 5,

    // Bytes; of a program larger than this the stock is not simulated while somebody waits. Where about so many cells would have to be looked at,
    // coarser ones are taken, or none; the queue works it out once it is saved.
    'stock_program' => 500_000,
    'stock_visits' => 5_000_000,

    // Cells; a run that looks at fewer is made again quicker than it is fetched; of a longer one some moments are kept, to go on from after an edit.
    'stock_kept_from' => 400_000,

    // Cells looked at for a picture of the stock, which somebody has asked for.
    'stock_picture_visits' => 60_000_000,

    // Bytes; a setup file is text of a few kilobytes, and the solids it may hold.
    'largest_setup' => 10 * 1024 * 1024,

    // Names the server is reached by; a request under another is refused. OAK_HOSTS adds some, with commas between.
    'hosts' => array_values(
        array_filter(['127.0.0.1', 'localhost', parse_url((string) env('APP_URL', ''), PHP_URL_HOST), ...explode(',', (string) env('OAK_HOSTS', ''))]),
    ),

    // Zone of the shop's dates, that of the server unless said. Moments are stored in UTC.
    'time_zone' => env('OAK_TIME_ZONE') ?: (is_readable('/etc/timezone') ? trim((string) file_get_contents('/etc/timezone')) : 'UTC'),

    // Days a kept check of a long program is kept after it was last asked for.
    'keep_checks' => 7,
];
