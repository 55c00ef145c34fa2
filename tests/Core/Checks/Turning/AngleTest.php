<?php

declare(strict_types=1);

use Tests\Core\Lathe;
use Tests\Core\LatheCases;

const BEFORE_ANGLE = "G21 G99 G40\nT0101\nG97 S1000 M3\nG0 X20. Z2.\nG1 Z0. F0.1\n";

LatheCases::raises('turning.angle', [
    'alone, and nothing follows' => [BEFORE_ANGLE."A150.\nM30", 6, 'stop',
        'This block gives an angle alone, and the next does not say X, Z and an angle.',
    ],
    'alone, and the next has no angle' => [BEFORE_ANGLE."A150.\nX30. Z-10.\nM30", 6, 'stop',
        'This block gives an angle alone, and the next does not say X, Z and an angle.',
    ],
    'alone before a rapid' => [BEFORE_ANGLE."A150.\nG28 U0 W0\nM30", 6, 'stop',
        'This block gives an angle alone, and the next does not say X, Z and an angle.',
    ],
    'along the axis, with X' => [BEFORE_ANGLE.'X30. A180.', 6, 'stop', 'A line at this angle never comes to the end that is given.'],
    'parallel to the second' => [BEFORE_ANGLE."A150.\nX40. Z-30. A150.", 7, 'stop', 'A line at this angle never comes to the end that is given.'],
    'against X and Z' => [BEFORE_ANGLE.'X30. Z-5. A150.', 6, 'stop', 'X and Z lie 1.830 mm off the line at this angle.'],
    'in another plane' => [BEFORE_ANGLE.'G17 X30. A150.', 6, 'stop', 'An angle is said here, and the plane is not that of Z and X.'],
    'at rapid' => [BEFORE_ANGLE.'G0 X30. A150.', 6, 'stop', 'A is the angle of a straight move at feed, and this block makes none.'],
    'in a single cycle' => [BEFORE_ANGLE.'G90 X18. Z-5. A150.', 6, 'stop', 'A is the angle of a straight move at feed, and this block makes none.'],
    'in a hole cycle' => ["G21 G99 G40\nT0202\nG97 S1000 M3\nG0 X0. Z2.\nG83 Z-10. Q3000 A5. F0.1", 5, 'stop',
        'A is the angle of a straight move at feed, and this block makes none.',
    ],
    'on the way home' => [BEFORE_ANGLE.'G28 U0 A150.', 6, 'stop', 'A is the angle of a straight move at feed, and this block makes none.'],
]);

LatheCases::staysQuiet('turning.angle', [
    'with one end' => [BEFORE_ANGLE.'X30. A150.'],
    'in two blocks' => [BEFORE_ANGLE."A180.\nX40. Z-30. A135."],
    'of the flank of a thread' => ["G21 G99 G40\nT0101\nG97 S1000 M3\nG0 X26. Z5.\nG76 X18.16 Z-20. K0.92 D250 A60 F1.5",
        ['machine' => ['control' => ['profile' => 'one-line-lathe']]]],
]);

it('knows no angle where the control has none', function (): void {
    $control = ['machine' => ['control' => ['angleWords' => 'none']]];
    expect(Lathe::found('travel.no-axis', BEFORE_ANGLE.'X30. A150.', $control))->toHaveCount(1);
});
