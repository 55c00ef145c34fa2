<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$plate = ['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0], 'workOffset' => 'G55'];
$second = fn (array $offset): array => ['workOffsets' => ['G55' => $offset], 'moreStock' => [$plate]];
$both = "G0 X1.\nG55 X1. Y1.";
$tools = "G0 Z50.\nT2 M6\nG54 G0 X0. Y0.\nS1200 M3\nG43 H2 Z25.";

CheckCases::raises('offsets.alike', [
    'two tools with one length' => [
        $tools, 10, 'caution', 'H2 and H1 are both −250.000 mm: no two tools are that alike.', null, ['offsets' => ['H' => ['2' => -250]]],
    ],
    'two work offsets at one place' => [
        $both, 7, 'stop', 'G55 and G54 are identical: the program cuts in the same place twice.', null,
        ['workOffsets' => ['G55' => ['X' => -400, 'Y' => -200, 'Z' => 0]]],
    ],
    'two pieces in each other' => [
        $both, 7, 'stop', 'The stock at G55 overlaps the stock at G54.', null, $second(['X' => -400, 'Y' => -170, 'Z' => 0]),
    ],
]);

CheckCases::staysQuiet('offsets.alike', [
    'two tools that differ' => [$tools],
    'a length of a tool that is not used' => ['G0 X1.', ['offsets' => ['H' => ['2' => -250]]]],
    'a work offset that is not used' => ['G0 X1.', ['workOffsets' => ['G55' => ['X' => -400, 'Y' => -200, 'Z' => 0]]]],
    'two vices' => [$both, $second(['X' => -280, 'Y' => -200, 'Z' => 0])],
    'two zeros on one piece' => [$both, ['workOffsets' => ['G55' => ['X' => -430, 'Y' => -200, 'Z' => 0]]]],
]);
