<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.feed-mode', [
    ["M5\nG95 G1 X5. F.1", 7, 'stop', 'The feed is per revolution and the spindle is stopped: this move never ends.', null],
    'once, where it stands first' => [
        "M5\nG95 G1 X5. F.1\nX6.\nS100\nX7.", 7, 'stop', 'The feed is per revolution and the spindle is stopped: this move never ends.', null,
    ],
]);

CheckCases::staysQuiet('state.feed-mode', [
    ['G95 G1 X5. F.1'],
    'it has cut standing still in feed per minute before' => ["M5\nG1 X5. F100.\nG95 F.1 X6."],
    ["M5\nG95 F.1\nG0 X5."],
]);
