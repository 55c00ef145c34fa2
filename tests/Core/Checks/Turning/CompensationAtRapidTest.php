<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

const AT_FEED_ALONE = ['machine' => ['control' => ['compensationOnRapid' => false]]];
const BEFORE_COMPENSATION = "G21 G99 G40\nT0101\nG97 S1000 M3\nG0 X44. Z5.\n";

LatheCases::raises('turning.compensation-at-rapid', [
    'leading in' => [BEFORE_COMPENSATION."G42 G0 X20. Z2.\nG1 Z-10. F0.1\nX44.\nG40 G1 X50.", 5, 'stop',
        'Nose compensation begins or ends with a rapid here, which this control refuses.', AT_FEED_ALONE,
    ],
    'leading out' => [BEFORE_COMPENSATION."G42 G1 X20. Z2. F0.1\nG1 Z-10.\nX44.\nG40 G0 X50.", 8, 'stop',
        'Nose compensation begins or ends with a rapid here, which this control refuses.', AT_FEED_ALONE,
    ],
]);

LatheCases::staysQuiet('turning.compensation-at-rapid', [
    'at feed, with a rapid on the way' => [BEFORE_COMPENSATION."G42 G1 X20. Z2. F0.1\nG1 Z-10.\nG0 X44.\nG40 G1 X50.", AT_FEED_ALONE],
    'where the control takes it' => [BEFORE_COMPENSATION."G42 G0 X20. Z2.\nG1 Z-10. F0.1\nX44.\nG40 G0 X50."],
]);
