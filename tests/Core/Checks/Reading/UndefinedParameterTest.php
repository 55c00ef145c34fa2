<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('reading.undefined-parameter', [
    ['G1 X#101 F100.', 6, 'stop', '#101 is read before it has a value; the word it stands in is ignored, and in arithmetic it counts as 0.', null],
    ['#1=#2+1.', 6, 'stop', '#2 is read before it has a value; the word it stands in is ignored, and in arithmetic it counts as 0.', null],
    [
        "G65 P7 X5.\nM30\nO7\nG0 Y#25\nM99", 9, 'stop',
        '#25 is read before it has a value; the word it stands in is ignored, and in arithmetic it counts as 0.', null,
    ],
    [
        'IF [#<depth> GT 3] THEN #1=2', 6, 'stop',
        '#<depth> is read before it has a value; the word it stands in is ignored, and in arithmetic it counts as 0.', null,
    ],
]);

CheckCases::staysQuiet('reading.undefined-parameter', [
    ["#101=5.\nG1 X#101 F100."],
    ["IF [#101 EQ #0] GOTO 5\nG0 X1.\nN5 G0 X2."],
    ["G65 P7 X5.\nM30\nO7\nG0 X#24\nM99"],
    ['#1=#0'],
]);
