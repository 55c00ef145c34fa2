<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

// A pass 1 wide along the back of the stock at 0.04 a tooth; the tool is to have 0.03 at least.
$tool = ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'flutes' => 3, 'feedPerTooth' => [0.03, 0.1]]]];
$pass = fn (string $y): string => "X-60. Y{$y}\nZ-3.\nG1 X60. F360.\nG0 Z25.";

CheckCases::raises(
    'cutting.thin-chip',
    [
        'a narrow pass' => [
            $pass('44.'), 8, 'note', 'T1 cuts 0.947 mm wide: at 0.040 mm a tooth its chips are 0.023 mm at most, and it rubs below 0.030 mm.', null,
            $tool,
        ],
        'a feed said before' => [
            "X-60. Y44.\nF360.\nZ-3.\nG1 X60.\nG0 Z25.", [7, 9], 'note',
            'T1 cuts 0.947 mm wide: at 0.040 mm a tooth its chips are 0.023 mm at most, and it rubs below 0.030 mm.', null, $tool,
        ],
    ],
);

CheckCases::staysQuiet('cutting.thin-chip', [
    'half the cutter' => [$pass('40.'), $tool],
    'a feed that is too small itself' => [str_replace('F360.', 'F100.', $pass('44.')), $tool],
]);
