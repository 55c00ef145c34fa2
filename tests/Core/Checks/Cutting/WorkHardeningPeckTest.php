<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('cutting.work-hardening-peck', [
    [
        "G0 Z50.\nT2 M6\nS600 M3\nG43 H2 G0 Z25.\nG98 G83 X0. Y0. Z-20. R2. Q4. F60.\nG80", 10, 'note',
        'Pecking in stainless steel: each peck rubs on the bottom it has hardened.', null, ['material' => 'stainless steel'],
    ],
    'chips broken, in titanium, once' => [
        "T2 M6\nS600 M3\nG43 H2 Z25.\nG98 G73 X0. Y0. Z-20. R2. Q4. F60.\nX10.\nF50.\nX20.\nG80", 9, 'note',
        'Pecking in Titanium: each peck rubs on the bottom it has hardened.', null, ['material' => 'Titanium'],
    ],
]);

CheckCases::staysQuiet('cutting.work-hardening-peck', [
    ["G0 Z50.\nT2 M6\nS600 M3\nG43 H2 G0 Z25.\nG98 G83 X0. Y0. Z-20. R2. Q4. F60.\nG80"],
]);

it('lets a hole be drilled through in one stroke', function (): void {
    $run = Bench::verify(Bench::sound("T2 M6\nS600 M3\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-20. R2. F60.\nG80"), ['material' => 'nickel alloy']);
    expect(Bench::names($run))->not->toContain('cutting.work-hardening-peck');
});
