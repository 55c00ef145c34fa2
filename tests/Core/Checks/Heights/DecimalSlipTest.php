<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('heights.decimal-slip', [
    ["G0 Z2.\nG1 Z-50. F100.\nG0 Z25.", 7, 'stop'],
    ["G0 Z2.\nG1 Z-3. F100.\nX10.\nG0 Z2.\nX0.\nG1 Z-30. F100.\nG0 Z25.", 11, 'stop'],
    ["G0 Z2.\nG1 Z-1. F100.\nX200. F300.\nX0.\nG0 Z25.", 8, 'stop'],
    // Within the stock, and out of step with the passes before.
    ["G0 X-60. Y0.\nG1 Z-.5 F100.\nX60. F300.\nZ-1. F100.\nX-60. F300.\nZ-15. F100.\nX60. F300.", 11, 'stop'],
]);

CheckCases::staysQuiet('heights.decimal-slip', [
    ["G0 Z2.\nG1 Z-25.5 F100.\nG0 Z25."],
    ["G0 X120. Y0.\nZ2.\nG1 Z-1. F300.\nX0.\nG0 Z25."],
    // Deep on purpose: reached step by step, though it ends below the stock.
    ["G0 X-60. Y0.\nG1 Z-10. F100.\nX60. F300.\nZ-20. F100.\nX-60. F300.\nZ-30. F100.\nX60. F300.\nZ-40. F100.\nX-60. F300.\nZ-51. F100.\nX60. F300."],
]);
