<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$follow = fn (string $kind, float $diameter, array $more = []): array => [
    'tools' => [
        ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'flutes' => 3], ['number' => 2, 'kind' => 'drill', 'diameter' => 8.5],
        ['number' => 4, 'kind' => $kind, 'diameter' => $diameter] + $more,
    ],
];
$drilled = fn (string $cycle): string => "T2 M6\nS900 M3\nG54 G0 X0. Y0.\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-20. R2. F100.\nG80\nG0 Z50.\nT4 M6\nS300 M3\n"
    ."G54 G0 X0. Y0.\nG43 H3 Z25.\n{$cycle}\nG80";

CheckCases::raises('cutting.hole-too-small', [
    'a boring bar in a hole less than half its size' => [
        $drilled('G98 G85 X0. Y0. Z-10. R2. F60.'), 17, 'stop',
        'T4 is 20.000 mm and meets a hole of about 8.000 mm: it would cut 6.000 mm per side.', null, $follow('boring-bar', 20),
    ],
    'a reamer for another hole' => [
        $drilled('G98 G85 X0. Y0. Z-10. R2. F60.'), 17, 'stop',
        'T4 is 12.000 mm and meets a hole of about 8.000 mm: it would cut 2.000 mm per side.', null, $follow('reamer', 12),
    ],
    'a tap two sizes up' => [
        $drilled('G98 G84 X0. Y0. Z-10. R5. F525.'), 17, 'stop',
        'T4 is 14.000 mm and meets a hole of about 8.200 mm: it would cut 2.900 mm per side.', null, $follow('tap', 14, ['pitch' => 1.75]),
    ],
]);

CheckCases::staysQuiet('cutting.hole-too-small', [
    'a tap in the hole of its drill' => [$drilled('G98 G84 X0. Y0. Z-10. R5. F450.'), $follow('tap', 10, ['pitch' => 1.5])],
    'a bore that takes a millimetre and a half' => [$drilled('G98 G85 X0. Y0. Z-10. R2. F60.'), $follow('boring-bar', 11.5)],
    'no hole at all, which is another finding' => [
        "T4 M6\nS300 M3\nG54 G0 X0. Y0.\nG43 H3 Z25.\nG98 G85 X0. Y0. Z-10. R2. F60.\nG80", $follow('boring-bar', 20),
    ],
]);
