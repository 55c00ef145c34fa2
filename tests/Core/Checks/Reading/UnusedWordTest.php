<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('reading.unused-word', [
    'the plane was forgotten' => ["G1 Z-1. F100.\nG2 X10. I5. K2. F200.", 7, 'caution', 'K2 has no use here: an arc in the XY plane does not take it.', null],
    'a centre beside a straight move' => ["G1 Z-1. F100.\nG1 X10. I5.", 7, 'caution', 'I5 has no use in this block.', null],
    'the same, with the code before it' => ["G1 Z-1. F100.\nX10. J5.", 7, 'caution', 'J5 has no use in this block.', null],
    'a count as another control writes it' => [
        "G98 G81 X10. Y0. Z-5. R2. K3 F100.\nG80", 6, 'caution', 'K3 has no use in this cycle. This control counts repeats in L.', null,
    ],
    'a length number without its code' => ['G0 X10. H1', 6, 'caution', 'H1 has no use in this block.', null],
    'the sign of a peck' => [
        "G98 G83 X10. Y0. Z-5. R2. Q-2. F100.\nG80", 6, 'caution',
        'Q-2 is negative: this control takes it without its sign, another one stops.', null,
    ],
    'a call that is none' => [
        "M98 P7 L0\nM30\nO7\nM99", 6, 'caution', 'L0 has the program run not at all; another control runs it once.', null,
    ],
    'a macro that is none' => ["G65 P7 L0\nM30\nO7\nM99", 6, 'caution', 'L0 has the program run not at all; another control runs it once.', null],
    'R of a corner, without a code' => ["G1 X10. F100.\nX20. R5.", 7, 'caution', 'R5 has no use in this block.', null],
    'a count, without a code' => ["G1 X10. F100.\nX20. L3", 7, 'caution', 'L3 has no use in this block.', null],
    'holes that all are one' => [
        "G98 G81 X10. Y0. Z-5. R2. L3 F100.\nG80", 6, 'caution', 'L3 makes the same hole 3 times.', null,
    ],
    'R left from an arc' => ['G1 X10. R5. F100.', 6, 'caution', 'R5 has no use in this block.', null],
]);

CheckCases::staysQuiet('reading.unused-word', [
    'an arc in its plane' => ["G1 Z-1. F100.\nG2 X10. I5. J0. F200."],
    'several turns' => ["G1 Z-1. F100.\nG2 X0. I5. P2 Z-2. F200."],
    'an arc in the upright plane' => ["G18 G2 X10. Z25. I5. K0. F200.\nG17"],
    'a count in its own letter' => ["G91 G98 G81 X10. Y0. Z-7. R-23. L3 F100.\nG80\nG90"],
    'fine boring, stepping off' => ["G98 G76 X0. Y0. Z-4. R1. I-.3 J.1 F60.\nG80"],
    'a dwell, a call, an offset' => [
        "G4 P.5\nM98 P2000 L2\nG10 L2 P1 X-400.\nG68 X0. Y0. R30.\nG69\nG51 P1.\nG50", ['subprograms' => ['O2000' => "G91 X1.\nG90\nM99"]],
    ],
    'shrinking pecks' => ["G98 G83 X0. Y0. Z-9. R2. I4. J1. K1.5 F90.\nG80", ['machine' => ['control' => ['shrinkingPecks' => true]]]],
    'a macro with its words' => ['G65 P2000 I1. J2. K3.', ['subprograms' => ['O2000' => "G91 X#4\nG90\nM99"]]],
]);
