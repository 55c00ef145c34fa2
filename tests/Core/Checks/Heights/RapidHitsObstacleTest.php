<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

const JAW = ['obstacles' => [['name' => 'jaw', 'shape' => 'box', 'min' => [-80, 40, -30], 'max' => [80, 60, 5], 'workOffset' => 'G54']]];

const PARALLEL = ['obstacles' => [['name' => 'parallel', 'shape' => 'box', 'min' => [-6, -40, -45], 'max' => [6, 40, -25], 'workOffset' => 'G54']]];

CheckCases::raises('heights.rapid-hits-obstacle', [
    ["G0 X-95. Y45.\nZ2.\nX70.\nZ25.", 8, 'stop', JAW],
    ["G0 X-95. Y36.\nZ2.\nG1 Z-2. F100.\nX70. F300.\nG0 Z25.", 9, 'stop', JAW],
    'through the stock into what lies under it' => ["Z2.\nG1 Z-25.4 F100.\nG0 Z25.", 7, 'stop', PARALLEL],
    ["G0 X-30. Y30.\nZ6.\nG1 Z4. F100.\nG2 X30. Y30. R31. F300.\nG0 Z25.", 9, 'stop', JAW],
]);

CheckCases::staysQuiet('heights.rapid-hits-obstacle', [
    ["G0 X-70. Y45.\nZ5.5\nX70.\nZ25.", JAW],
    'through beside it' => ["X20.\nZ2.\nG1 Z-25.4 F100.\nG0 Z25.", PARALLEL],
    'not through' => ["Z2.\nG1 Z-24.9 F100.\nG0 Z25.", PARALLEL],
    ["G0 X-70. Y34.\nZ2.\nG1 X70. F300.\nG0 Z25.", JAW],
]);
