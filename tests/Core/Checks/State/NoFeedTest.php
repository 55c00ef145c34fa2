<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.no-feed', [
    ['G1 X5.', 6, 'stop', 'A cutting move with no feed.', null],
    ['G3 I5. F0', 6, 'stop', 'A cutting move with no feed.', null],
]);

CheckCases::staysQuiet('state.no-feed', [
    ["F100.\nG1 X5."],
    ['G0 X5.'],
]);
