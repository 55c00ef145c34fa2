<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('heights.r-below-z', [
    ['G98 G81 X0. Y0. Z-2. R-5. F100.', 6, 'stop', 'The cycle starts at R −5.000 mm, below its bottom at Z −2.000 mm.', 'Put R5. @ 6:23 3 “5.”'],
    ["G98 G81 X0. Y0. Z-5. R-1. F100.\nG80", 6, 'stop', 'The cycle brings T1 at rapid to R −1.000 mm, which is 1.000 mm below the top of the stock.', null],
]);

CheckCases::staysQuiet('heights.r-below-z', [
    ["G98 G81 X0. Y0. Z-5. R2. F100.\nG80"],
    ["G98 G81 X60. Y0. Z-5. R-1. F100.\nG80"],
    'between the raw top and the ground that was milled' => ["G0 X-60. Y0.\nG1 Z-4. F300.\nX60.\nG0 Z5.\nG98 G81 X0. Y0. Z-8. R-2. F100.\nG80"],
]);
