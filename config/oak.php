<?php

declare(strict_types=1);

return [
    // Bytes; a program larger than this is refused with the limit named.
    'largest_program' => 48 * 1024 * 1024,

    // Bytes; a program larger than this is checked by the queue, with its progress shown.
    'long_program' => 2 * 1024 * 1024,

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

    // Days a kept check of a long program is kept after it was last asked for.
    'keep_checks' => 7,
];
