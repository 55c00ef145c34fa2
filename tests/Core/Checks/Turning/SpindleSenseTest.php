<?php

declare(strict_types=1);

use Tests\Core\Lathe;
use Tests\Core\LatheCases;

const REAR_DOWN = ['machine' => ['turret' => ['side' => 'rear']], 'tools' => [['face' => 'down']]];
const DRILLED_ON_CENTRE = "G21 G99\nT0202\nG97 S800 M4\nG0 X0. Z2.\nG1 Z-20. F0.1";

LatheCases::raises('turning.spindle-sense', [
    'a drill the wrong way round' => [DRILLED_ON_CENTRE, 5, 'stop', 'T2 cuts with the spindle counter-clockwise; as it sits it wants it clockwise.'],
    'behind the part, face down' => [str_replace('M3', 'M4', LatheCases::READY)."G0 X38. Z2.\nG1 Z-9. F0.2", 6, 'stop',
        'T1 cuts with the spindle counter-clockwise; as it sits it wants it clockwise.', REAR_DOWN,
    ],
    'behind the part, face up' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.2", 6, 'stop',
        'T1 cuts with the spindle clockwise; as it sits it wants it counter-clockwise.', ['tools' => [['face' => 'up']]] + REAR_DOWN,
    ],
    'in front of the part, face down' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.2", 6, 'stop',
        'T1 cuts with the spindle clockwise; as it sits it wants it counter-clockwise.', ['machine' => ['turret' => ['side' => 'front']]] + REAR_DOWN,
    ],
]);

LatheCases::staysQuiet('turning.spindle-sense', [
    'a drill' => [str_replace('M4', 'M3', DRILLED_ON_CENTRE)],
    'a left-hand drill' => [DRILLED_ON_CENTRE, ['tools' => [1 => ['hand' => 'left']]]],
    'behind the part, face down' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.2", REAR_DOWN],
    'in front of the part, face up' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.2", [
        'machine' => ['turret' => ['side' => 'front']], 'tools' => [['face' => 'up']],
    ]],
    'nobody says how it sits' => [str_replace('M3', 'M4', LatheCases::READY)."G0 X38. Z2.\nG1 Z-9. F0.2"],
]);

it('says which sense was not looked at', function (array $machine, string $says): void {
    expect(LatheCases::gaps(LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.2\nG28 U0 W0", ['machine' => $machine]))->toContain($says);
    expect(Lathe::setup(['machine' => $machine])->machine->turret->side)->toBe($machine['turret']['side'] ?? null);
})->with([
    'no turret' => [['name' => 'Hazel'], 'The machine does not say on which side its tools stand: which way each insert wants the spindle was not checked.'],
    'no face' => [['turret' => ['side' => 'rear']], 'No insert face given for T1: which way it wants the spindle was not checked.'],
]);
