<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('heights.below-stock', [
    ["G0 Z2.\nG1 Z-27. F100.\nG0 Z25.", 7, 'stop'],
    ["T2 M6\nG0 X0. Y0. S2000 M3\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-29. R2. F100.\nG80", 9, 'stop'],
]);

CheckCases::staysQuiet('heights.below-stock', [
    ["G0 Z2.\nG1 Z-25.9 F100.\nG0 Z25."],
    ["T2 M6\nG0 X0. Y0. S2000 M3\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-28.4 R2. F100.\nG80"],
    ["G0 X70. Y0.\nG1 Z-27. F500.\nG0 Z25."],
]);
