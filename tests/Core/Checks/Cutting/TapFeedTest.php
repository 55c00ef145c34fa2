<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$tap = static fn (string $f, string $more = ''): string => "G0 Z50.\nT4 M6\nS500 M3\nG43 H2 G0 Z25.\n{$more}G98 G84 X0. Y0. Z-9. R5. {$f}\nX10.\nG80";

CheckCases::raises('cutting.tap-feed', [
    [$tap('F600.'), 10, 'stop', 'T4 taps at 600 mm/min; at 500 rev/min its pitch of 1.250 mm needs 625 mm/min.', 'Put F625. @ 10:27 4 “625.”'],
    'a hair more than it may be off' => [
        $tap('F628.5'), 10, 'stop', 'T4 taps at 629 mm/min; at 500 rev/min its pitch of 1.250 mm needs 625 mm/min.', 'Put F625. @ 10:27 5 “625.”',
    ],
    'a point that is lost' => [
        $tap('F62.5'), 10, 'stop', 'T4 taps at 63 mm/min; at 500 rev/min its pitch of 1.250 mm needs 625 mm/min.', 'Put F625. @ 10:27 4 “625.”',
    ],
    'a feed for a turn' => [
        $tap('F1.5', "G95\n"), 11, 'stop', 'T4 taps at 750 mm/min; at 500 rev/min its pitch of 1.250 mm needs 625 mm/min.', 'Put F1.25 @ 11:27 3 “1.25”',
    ],
    'the feed of the tool before it' => [
        "G1 Z24. F300.\n".$tap(''), 11, 'stop', 'T4 taps at 300 mm/min; at 500 rev/min its pitch of 1.250 mm needs 625 mm/min.', null,
    ],
    'a feed for a turn, whose code was not read, of another pitch' => [
        $tap('F1.5', "G995\n"), 11, 'stop', 'T4 taps at 2 mm/min; at 500 rev/min its pitch of 1.250 mm needs 625 mm/min.', 'Put F625. @ 11:27 3 “625.”',
    ],
    'a left-hand tap' => [
        "G0 Z50.\nT4 M6\nS500 M4\nG43 H2 G0 Z25.\nG98 G74 X0. Y0. Z-9. R5. F600.\nG80", 10, 'stop',
        'T4 taps at 600 mm/min; at 500 rev/min its pitch of 1.250 mm needs 625 mm/min.', 'Put F625. @ 10:27 4 “625.”',
        ['tools' => [['number' => 4, 'kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25, 'hand' => 'left']]],
    ],
    'a pitch nobody gives' => [
        $tap('F600.'), 10, 'caution', 'T4 taps, and its pitch is not given: its feed is not checked.', null,
        ['tools' => [['number' => 4, 'kind' => 'tap', 'diameter' => 8]]],
    ],
]);

CheckCases::staysQuiet('cutting.tap-feed', [
    [$tap('F625.')],
    'as much as it may be off' => [$tap('F628.')],
    'a feed for a turn' => [$tap('F1.25', "G95\n")],
    'the same, whose code was not read' => [$tap('F1.25', "G995\n")],
    'the spindle stopped, which is told' => ["G0 Z50.\nT4 M6\nS500\nG43 H2 G0 Z25.\nG98 G84 X0. Y0. Z-9. R5. F600.\nG80"],
    'a drill, which is told' => ["G0 Z50.\nT2 M6\nS500 M3\nG43 H2 G0 Z25.\nG98 G84 X0. Y0. Z-9. R5. F600.\nG80"],
]);
