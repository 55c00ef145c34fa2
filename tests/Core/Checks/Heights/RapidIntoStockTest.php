<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('heights.rapid-into-stock', [
    ["G0 Z-1.\nG0 Z25.", 6, 'stop'],
    ["G0 X70. Y0.\nZ-5.\nX0.\nZ25.", 8, 'stop'],
    'what the pass before has left' => ["X-60.\nG0 Z2.\nG1 Z-2. F300.\nX60.\nG0 Z-4.\nX-60.\nZ25.", 11, 'stop'],
]);

CheckCases::staysQuiet('heights.rapid-into-stock', [
    ["G0 Z2.\nG1 Z-5. F100.\nG0 Z25."],
    ["G0 X56. Y0.\nZ-5.\nG1 X0. F300.\nG0 Z25."],
    ["G98 G83 X0. Y0. Z-20. R2. Q4. F100.\nG80"],
    ["G98 G81 X0. Y0. Z-5. R.5 F100.\nG80"],
    'back through its own slot' => ["X-60.\nG0 Z2.\nG1 Z-2. F300.\nX60.\nG0 X-60.\nZ25."],
]);

CheckCases::raises('heights.rapid-low', [
    'back through its own slot' => ["X-60.\nG0 Z2.\nG1 Z-2. F300.\nX60.\nG0 X-60.\nZ25.", 10, 'caution'],
]);
