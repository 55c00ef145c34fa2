<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

const HOLLOW = [
    'stock' => ['bore' => 19],
    'tools' => [5 => ['number' => 6, 'kind' => 'boring', 'cornerRadius' => 0.4, 'approachAngle' => 93, 'includedAngle' => 55, 'minBore' => 16]],
    'offsets' => ['T' => ['6' => ['X' => 0, 'Z' => 0, 'R' => 0.4, 'tip' => 2]]],
];
const BORE = "G21 G99\nT0606\nG97 S800 M3\nG0 X20. Z2.\nG1 Z-20. F0.1\n";

LatheCases::raises('turning.boring', [
    // A bar for bores from 16 on in one of Ø20 may come in to X12, no further: 2 (16 − 20/2).
    'it goes too far in to come out' => [BORE."G0 X11.\nZ2.", 6, 'stop', 'The back of T6 comes 0.500 mm into the wall of the bore, at Z−19.590 mm.', HOLLOW],
    'a bar that is thin for its length' => [BORE.'G0 X19. Z2.', 1, 'caution', 'T6 stands 60.000 mm out of its holder: 5.0 times its thickness.',
        array_replace_recursive(HOLLOW, ['tools' => [5 => ['shankDiameter' => 12, 'stickout' => 60]]]),
    ],
    'thinner than even carbide stands' => [BORE.'G0 X19. Z2.', 1, 'stop', 'T6 stands 85.000 mm out of its holder: 7.1 times its thickness.',
        array_replace_recursive(HOLLOW, ['tools' => [5 => ['shankDiameter' => 12, 'stickout' => 85]]]),
    ],
]);

LatheCases::staysQuiet('turning.boring', [
    'as far in as it may' => [BORE."G0 X12.\nZ2.", HOLLOW],
    'four times its thickness' => [BORE.'G0 X19. Z2.', array_replace_recursive(HOLLOW, ['tools' => [5 => ['shankDiameter' => 12, 'stickout' => 48]]])],
    'in front of the part' => ["G21 G99\nT0606\nG97 S800 M3\nG0 X4. Z2.\nX20.\nG1 Z-20. F0.1\nG0 X19.\nZ2.", HOLLOW],
]);

it('says that the back of a bar was not looked at', function (): void {
    $changes = array_replace_recursive(HOLLOW, ['tools' => [1 => ['kind' => 'boring', 'approachAngle' => 93, 'includedAngle' => 55]]]);
    $changes['offsets']['T']['2'] = ['tip' => 2];
    expect(LatheCases::gaps(str_replace('T0606', 'T0202', BORE).'G28 U0 W0', $changes))
        ->toContain('No smallest bore given for T2: whether its back rubs was not checked.');
});
