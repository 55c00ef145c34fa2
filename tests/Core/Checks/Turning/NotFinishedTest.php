<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

$rough = static fn (string $more, string $leave = 'U.4 W.1'): string => LatheCases::READY
    ."G0 X42. Z2.\nG71 U1.5 R.5\nG71 P10 Q20 {$leave} F.25\nN10 G0 X30.\nG1 Z-18. F.12\nN20 X42.\n{$more}G0 X60.";
LatheCases::raises('turning.not-finished', [
    'nothing behind it' => [$rough(''), 7, 'caution', 'What this cycle leaves for finishing is never turned off.'],
    'a drill and a blade behind it' => [
        $rough("G0 X60. Z20.\nT0202\nG97 S800\nG0 X0. Z3.\nG1 Z-10. F.1\nG0 Z20.\nX60.\nT0404\nG97 S600\nG0 X44. Z-30.\nG1 X20. F.05\n"), 7, 'caution',
        'What this cycle leaves for finishing is never turned off.',
    ],
    'along Z alone' => [$rough('', 'U0 W.1'), 7, 'caution', 'What this cycle leaves for finishing is never turned off.'],
]);

LatheCases::staysQuiet('turning.not-finished', [
    'finished by its cycle' => [$rough("G70 P10 Q20\n")],
    'finished by another tool' => [$rough("G0 X60. Z20.\nT0303\nG96 S200\nG0 X42. Z2.\nG70 P10 Q20\n")],
    'finished by blocks of its own' => [$rough("G0 X30.\nG1 Z-18. F.1\nX42.\n")],
    'nothing left' => [$rough('', 'U0 W0')],
    'no cycle' => [LatheCases::READY."G0 X36. Z2.\nG1 Z-20. F.2\nG0 X60."],
]);
