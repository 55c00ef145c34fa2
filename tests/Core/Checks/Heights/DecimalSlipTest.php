<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

const IN_CORNER = ['stock' => ['min' => [0, 0, -25], 'max' => [100, 80, 0]]];

// A plate that stands on its zero.
$high = ['stock' => ['max' => [50, 40, 20]]];

CheckCases::raises('heights.decimal-slip', [
    ["G0 Z2.\nG1 Z-50. F100.\nG0 Z25.", 7, 'stop', 'Z −50.000 mm is 25.000 mm below the stock, which is 25.000 mm thick.', 'Put Z-5. @ 7:5 4 “-5.”'],
    [
        "G0 Z2.\nG1 Z-3. F100.\nX10.\nG0 Z2.\nX0.\nG1 Z-30. F100.\nG0 Z25.", 11, 'stop',
        'Z −30.000 mm is 5.000 mm below the stock, which is 25.000 mm thick. The cut on line 7 went to −3.000 mm.', 'Put Z-3. @ 11:5 4 “-3.”',
    ],
    [
        "G0 Z2.\nG1 Z-1. F100.\nX200. F300.\nX0.\nG0 Z25.", 8, 'stop', 'X 200.000 mm is 150.000 mm outside the stock, which is 100.000 mm wide.',
        'Put X20. @ 8:2 4 “20.”',
    ],
    // Pecked: the depth is that of the line, not of the first peck that is too deep.
    [
        "G98 G83 X10. Y0. Z-5. R2. Q2. F100.\nX-10. Z-50.\nG80", 7, 'stop',
        'Z −50.000 mm is 25.000 mm below the stock, which is 25.000 mm thick. The cut on line 6 went to −5.000 mm.', 'Put Z-5. @ 7:8 4 “-5.”',
    ],
    // Within the stock, and out of step with the passes before.
    [
        "G0 X-60. Y0.\nG1 Z-.5 F100.\nX60. F300.\nZ-1. F100.\nX-60. F300.\nZ-15. F100.\nX60. F300.", [11, 12], 'stop',
        'Z −15.000 mm is out of step with the passes before it. The cut on line 10 went to −1.000 mm.', 'Put Z-1.5 @ 11:2 4 “-1.5”',
    ],
    'out of step in inch' => [
        "G20\nG0 X-2.4 Y0.\nG1 Z-.02 F4.\nX2.4 F12.\nZ-.04 F4.\nX-2.4 F12.\nZ-.6 F4.\nX2.4 F12.\nG0 Z1.", [12, 13], 'stop',
        'Z −15.240 mm is out of step with the passes before it. The cut on line 11 went to −1.016 mm.', 'Put Z-0.06 @ 12:2 3 “-0.06”',
    ],
    'out of step after a single pass, and just that step with its point moved' => [
        "X-60. Y0.\nG1 Z17.5 F300.\nX60.\nZ1.5\nX-60.\nG0 Z25.", [9, 10], 'stop',
        'Z 1.500 mm is out of step with the passes before it. The cut on line 8 went to 17.500 mm.', 'Put Z15. @ 9:2 3 “15.”', $high,
    ],
    'out of step after two, its point moved to the other side' => [
        "X-60. Y0.\nG1 Z17.5 F300.\nX60.\nZ15.\nX-60.\nZ1.25\nX60.\nG0 Z25.", [11, 12], 'stop',
        'Z 1.250 mm is out of step with the passes before it. The cut on line 10 went to 15.000 mm.', 'Put Z12.5 @ 11:2 4 “12.5”', $high,
    ],
    'a minus before a height that would be the next step' => [
        "X-60. Y0.\nG1 Z17.5 F300.\nX60.\nZ-15.\nX-60.\nG0 Z25.", [9, 10], 'stop',
        'Z −15.000 mm is out of step with the passes before it. The cut on line 8 went to 17.500 mm.', 'Put Z15. @ 9:2 4 “15.”', $high,
    ],
    // Deeper than the tool sticks out of its holder.
    [
        "G0 Z2.\nG1 Z-35. F100.\nG0 Z25.", 7, 'stop', 'Z −35.000 mm is 10.000 mm below the stock, which is 25.000 mm thick.',
        'Put Z-3.5 @ 7:5 4 “-3.5”', ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'stickout' => 30]]],
    ],
    // A sign lost: a pass in the air where others went to that depth, a hole and a cut beside a stock with its zero in the corner.
    [
        "G0 X-60. Y0.\nZ5.\nG1 Z-4. F100.\nX60. F300.\nG0 Z5.\nX-60. Y20.\nG1 Z4. F100.\nX60. F300.\nG0 Z25.", 12, 'stop',
        'The cut at Z 4.000 mm runs 4.000 mm above the stock and cuts nothing. The cut on line 8 went to −4.000 mm.', 'Put Z-4. @ 12:5 2 “-4.”',
    ],
    [
        "G98 G81 X20. Y20. Z-5. R2. F100.\nX-40.\nX60.\nG80", 7, 'stop', 'X −40.000 mm is 40.000 mm outside the stock, which is 100.000 mm wide.',
        'Put X40. @ 7:2 4 “40.”', IN_CORNER,
    ],
    [
        "G0 X50. Y10.\nZ2.\nG1 Z-3. F100.\nY60. F300.\nX-80.\nX90.\nG0 Z25.", 10, 'stop',
        'X −80.000 mm is 80.000 mm outside the stock, which is 100.000 mm wide.', 'Put X80. @ 10:2 4 “80.”', IN_CORNER,
    ],
    'along Y' => [
        "G0 Z2.\nG1 Z-1. F100.\nY200. F300.\nY0.\nG0 Z25.", 8, 'stop', 'Y 200.000 mm is 160.000 mm outside the stock, which is 80.000 mm wide.',
        'Put Y20. @ 8:2 4 “20.”',
    ],
    'to the other side' => [
        "G0 Z2.\nG1 Z-1. F100.\nX-300. F300.\nX0.\nG0 Z25.", 8, 'stop', 'X −300.000 mm is 250.000 mm outside the stock, which is 100.000 mm wide.',
        'Put X-30. @ 8:2 5 “-30.”',
    ],
    'beside a cut of a program that is called' => [
        "G0 Z2.\nM98 P9\nX0.\nG1 Z-30. F100.\nG0 Z25.", 9, 'stop',
        'Z −30.000 mm is 5.000 mm below the stock, which is 25.000 mm thick. The cut on line 2 of O9 went to −3.000 mm.', 'Put Z-3. @ 9:5 4 “-3.”',
        ['subprograms' => ['O9' => "O9\nG1 Z-3. F100.\nX10.\nG0 Z2.\nM99"]],
    ],
    'the only cut of its tool, up in the air' => [
        "G0 X-60. Y0.\nZ5.\nG1 Z4. F100.\nX60. F300.\nG0 Z25.", 8, 'stop', 'The cut at Z 4.000 mm runs 4.000 mm above the stock and cuts nothing.',
        'Put Z-4. @ 8:5 2 “-4.”',
    ],
]);

CheckCases::staysQuiet('heights.decimal-slip', [
    'deep after a face was skimmed' => ["X-60. Y0.\nG1 Z19. F300.\nX60.\nZ1.8\nX-60.\nG0 Z25.", $high],
    'deep after a single pass, but no step of it' => ["X-60. Y0.\nG1 Z17. F300.\nX60.\nZ1.5\nX-60.\nG0 Z25.", $high],
    'a way across at feed, and down to the same depth again' => ["Z2.\nG1 Z-3. F200.\nX20. F300.\nZ3. F500.\nX-30.\nZ-3. F200.\nX-40. F300."],
    ["G0 Z2.\nG1 Z-25.5 F100.\nG0 Z25."],
    ["G0 X120. Y0.\nZ2.\nG1 Z-1. F300.\nX0.\nG0 Z25."],
    // Deep on purpose: reached step by step, though it ends below the stock.
    ["G0 X-60. Y0.\nG1 Z-10. F100.\nX60. F300.\nZ-20. F100.\nX-60. F300.\nZ-30. F100.\nX60. F300.\nZ-40. F100.\nX-60. F300.\nZ-51. F100.\nX60. F300."],
    ["G0 Z2.\nG1 Z-35. F100.\nG0 Z25.", ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'stickout' => 40]]]],
    // At feed in the air on purpose: from the cut up to the clearance and over, or on the way down.
    ["G0 X-60. Y0.\nZ2.\nG1 Z-2. F100.\nX60. F300.\nZ2.\nY20.\nZ-2. F100.\nX-60. F300.\nG0 Z25."],
    // Raw stock a little higher than it was given, skimmed off.
    ["G0 X-70. Y0.\nZ5.\nG1 Z1.5 F300.\nX70. F500.\nG0 Z25."],
    // Runs out beside the stock as far as a cutter does.
    ["G0 X50. Y10.\nZ2.\nG1 Z-3. F100.\nX-20. F300.\nG0 Z25.", IN_CORNER],
]);

it('offers the depth among the others of its tool, however far the point has to go', function (): void {
    $finding = Bench::verify(Bench::sound("G0 Z2.\nG1 Z-.3 F100.\nG0 Z2.\nX5.\nG1 Z-0205 F100.\nG0 Z2.\nX10.\nG1 Z-.15\nG0 Z25."))->findings[0];
    expect([$finding->check, $finding->edit?->text])->toBe(['heights.decimal-slip', '-0.205']);
});
