<?php

declare(strict_types=1);

use Tests\Core\DrivenTools;
use Tests\Core\LatheCases;

LatheCases::raises('turning.driven', [
    'while the part turns' => [
        "G21 G99\nT0101\nG97 S500 M3\nG0 X44. Z2.\nG28 U0 W0\nT0707\nG97 S3000 M133\nG0 X30. Z5.\nG83 Z-10. R-3. Q6000 F0.05\nG80\nM135\nM5\nG28 U0 W0",
        9, 'stop',
        'T7 is driven and cuts while the part turns.', DrivenTools::lathe(),
    ],
    'into the side, with nothing that drives it' => ["G21 G99\nT0707\nG97 S500 M3\nG0 X44. Z-20.\nG87 X30. R-1. Q3000 F0.05\nG80\nG28 U0 W0", 5, 'stop',
        'T7 goes into the side of the part and is not driven.', DrivenTools::lathe('across'),
    ],
]);

LatheCases::staysQuiet('turning.driven', [
    'the part stopped behind it' => [
        "G21 G99\nT0101\nG97 S500 M3\nG0 X44. Z2.\nG28 U0 W0\nT0707\nG97 S3000 M133\nM5\nG0 X30. Z5.\nG83 Z-10. R-3. Q6000 F0.05\nG80\nM135\nG28 U0 W0",
        DrivenTools::lathe(),
    ],
    'a drill on the axis' => ["G21 G99\nT0707\nG97 S500 M3\nG0 X0. Z5.\nG83 Z-10. R-3. Q6000 F0.05\nG80\nG28 U0 W0", DrivenTools::lathe('along')],
]);

it('says what of driven tools was not looked at', function (): void {
    $unknown = 'Nobody says how T7 points in its driven holder: its tip alone was checked.';
    expect(LatheCases::gaps(DrivenTools::FACE_HOLES, DrivenTools::lathe()))->toContain($unknown)
        ->toContain('What driven tools cut was not taken out of the part.')
        ->and(LatheCases::gaps(DrivenTools::FACE_HOLES, DrivenTools::lathe('along')))->not->toContain($unknown);
});
