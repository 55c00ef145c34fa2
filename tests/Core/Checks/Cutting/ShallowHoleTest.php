<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

$drill = "G0 Z50.\nT2 M6\nS900 M3\nG43 H2 G0 Z25.\n";
$says = 'This hole goes to Z −1.500 mm; the others of T2 go to −15.000 mm.';
CheckCases::raises('cutting.shallow-hole', [
    'one of four' => ["{$drill}G98 G81 X0. Y0. Z-15. R2. F100.\nX10. Z-1.5\nX20. Z-15.\nX30.\nG80", 11, 'caution', $says, 'Put Z-15. @ 11:7 4 “-15.”'],
    'a hundredth' => [
        "{$drill}G98 G81 X0. Y0. Z-15. R2. F100.\nX10. Z-.15\nX20. Z-15.\nX30.\nG80", 11, 'caution',
        'This hole goes to Z −0.150 mm; the others of T2 go to −15.000 mm.', 'Put Z-15. @ 11:7 4 “-15.”',
    ],
    'with those that follow it' => ["{$drill}G98 G81 X-10. Y0. Z-15. R2. F100.\nX0.\nX10. Z-1.5\nX20.\nX30.\nG80", 12, 'caution',
        $says, 'Put Z-15. @ 12:7 4 “-15.”'],
    'in a cycle of its own' => [
        "{$drill}G98 G81 X-10. Y0. Z-15. R2. F100.\nX0.\nX10.\nG80\nG98 G81 X20. Y0. Z-1.5 R2. F100.\nG80", 14, 'caution', $says, 'Put Z-15. @ 14:19 4 “-15.”',
    ],
]);

CheckCases::staysQuiet('cutting.shallow-hole', [
    'all alike' => ["{$drill}G98 G81 X0. Y0. Z-15. R2. F100.\nX10.\nX20.\nG80"],
    'spotted first, by the same drill' => ["{$drill}G98 G81 X0. Y0. Z-1.5 R2. F100.\nX10.\nX20.\nG80\nG98 G81 X0. Y0. Z-15. R2. F100.\nX10.\nX20.\nG80"],
    'more of them spotted than drilled' => ["{$drill}G98 G81 X0. Y0. Z-1.5 R2. F100.\nX10.\nX20.\nG80\nG98 G81 X30. Y0. Z-15. R2. F100.\nX40.\nG80"],
    'other figures' => ["{$drill}G98 G81 X0. Y0. Z-15. R2. F100.\nX10. Z-1.6\nX20. Z-15.\nX30.\nG80"],
    'one of two' => ["{$drill}G98 G81 X0. Y0. Z-15. R2. F100.\nX10. Z-1.5\nG80"],
    'another tool' => ["{$drill}G98 G81 X0. Y0. Z-15. R2. F100.\nX10.\nX20.\nG80\nG0 Z50.\nT1 M6\nS900 M3\nG43 H1 Z25.\nG98 G81 X30. Y0. Z-1.5 R2. F100.\nG80"],
]);

it('tells the first of them', function () use ($drill): void {
    $run = Bench::verify(Bench::sound("{$drill}G98 G81 X-10. Y0. Z-15. R2. F100.\nX0.\nX10. Z-1.5\nX20. Z-15.\nX30. Z-1.5\nG80"));
    expect(array_column(Bench::findings('cutting.shallow-hole', $run), 'line'))->toBe([12]);
});
