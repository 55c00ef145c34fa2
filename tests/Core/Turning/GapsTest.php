<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Gap;
use OakTrace\Core\Checks\Gaps;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

/** A pass along the bar, a hole, and a thread. */
const THREE_TOOLS = LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.2\nG0 X60. Z20.\nT0202\nG97 S800 M3\nG0 X0. Z5.\nG1 Z-10. F0.1\nG0 Z20.\nT0505\nG97 S500 M3\n"
    ."G0 X44. Z8.\nG92 X39.2 Z-20. F1.5\nX38.16\nG28 U0 W0\nM30";

/** A tool that nothing more is to be known of. */
const KNOWN = ['face' => 'down', 'shankWidth' => 20, 'projection' => 30, 'maxAxialDepth' => 3];

it('says what was not looked at, and the field that would let it', function (string $text, array $changes, array $expected): void {
    $gaps = Gaps::of(Lathe::verify(Lathe::whole($text), array_replace_recursive(LatheCases::BAR, $changes))->input);
    expect(array_map(static fn (Gap $gap): array => [$gap->text, $gap->field], $gaps))->toBe($expected);
})->with([
    'a bar, its chuck, and bare tools' => [THREE_TOOLS, [], [
        ['The machine does not say on which side its tools stand: which way each insert wants the spindle was not checked.', null],
        ['No clearance given: how near rapids come to the raw stock was not checked.', 'clearance'],
        ['No holder given for T1, T2, T5: what it runs into was not checked.', 'tools.0.shankWidth'],
        ['No stations or radius of the turret given: the tools beside the one that cuts were not checked.', null],
        ['No max depth of cut given for T1.', 'tools.0.maxAxialDepth'],
        ['No grip force and jaws given: what speed takes of the grip was not checked.', 'chuck.gripForce'],
        ['Tailstock and loads were not checked.', null],
    ]],
    'nothing around the program' => [THREE_TOOLS, ['stock' => null, 'chuck' => null], [
        ['No greatest speed of the chuck given.', 'chuck'],
        ['The machine does not say on which side its tools stand: which way each insert wants the spindle was not checked.', null],
        ['No stock given: rapids were not checked against it.', 'stock'],
        ['No jaws given: nothing was checked against the chuck.', 'chuck'],
        ['No stations or radius of the turret given: the tools beside the one that cuts were not checked.', null],
        ['Without the stock the depth of the thread was not checked.', null],
        ['Tailstock and loads were not checked.', null],
    ]],
    'a turret, and a thread by a tool for turning' => [
        str_replace('T0505', 'T0303', THREE_TOOLS), ['clearance' => 1, 'machine' => ['turret' => ['side' => 'rear', 'stations' => 12, 'radius' => 150]]], [
            ['No insert face given for T1: which way it wants the spindle was not checked.', 'tools.0.face'],
            ['No holder given for T1, T2, T3: what it runs into was not checked.', 'tools.0.shankWidth'],
            ['No projection from the turret given for T1, T2, T3, T4, T5: nothing was checked beside the tool that cuts.', 'tools.0.projection'],
            ['No pitch given for T3: the depth of the thread was not checked.', 'tools.2.pitch'],
            ['No max depth of cut given for T1.', 'tools.0.maxAxialDepth'],
            ['No grip force and jaws given: what speed takes of the grip was not checked.', 'chuck.gripForce'],
            ['Tailstock and loads were not checked.', null],
        ],
    ],
    'all that is to be known' => [THREE_TOOLS, [
        'clearance' => 1, 'chuck' => ['gripForce' => 20000, 'jawMass' => 0.6, 'jawCentreRadius' => 45],
        'machine' => ['turret' => ['side' => 'rear', 'stations' => 12, 'radius' => 150]],
        'tools' => [KNOWN, ['stickout' => 60, 'holder' => ['diameter' => 32, 'length' => 40], 'projection' => 40], KNOWN, KNOWN, KNOWN],
    ], [['Tailstock and loads were not checked.', null]]],
]);

it('names the field that is missing next', function (array $changes, string $text, string $field): void {
    $gaps = Gaps::of(Lathe::verify(Lathe::whole(THREE_TOOLS), array_replace_recursive(LatheCases::BAR, $changes))->input);
    expect(array_column($gaps, 'field', 'text'))->toMatchArray([$text => $field]);
})->with([
    'of a shank' => [['tools' => [['shankWidth' => 20]]], 'No holder given for T1, T2, T5: what it runs into was not checked.', 'tools.0.projection'],
    'of a drill' => [
        ['tools' => [KNOWN, ['projection' => 40], [], [], KNOWN]], 'No holder given for T2: what it runs into was not checked.', 'tools.1.stickout',
    ],
    'of its holder' => [
        ['tools' => [KNOWN, ['stickout' => 60], [], [], KNOWN]], 'No holder given for T2: what it runs into was not checked.', 'tools.1.holder',
    ],
    'of a centre' => [
        ['tailstock' => ['mouth' => 4]], 'No Ø of the centre hole or of the quill given: nothing was checked against the tailstock.', 'tailstock',
    ],
    'of a tailstock' => [
        ['tailstock' => ['mouth' => 4, 'quillDiameter' => 12]], 'No body of the tailstock given: it was checked as far as the quill.', 'tailstock',
    ],
]);
