<?php

declare(strict_types=1);

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$tool = fn (float $stickout, array $more = []): array => [
    'tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 6, 'flutes' => 3, 'stickout' => $stickout] + $more],
];
$slot = "X-60.\nZ2.\nG1 Z-6. F600.\nX60.\nG0 Z25.";

CheckCases::raises('cutting.deflection', [
    'slender' => [$slot, 9, 'caution', 'T1 deflects about 2.340 mm in carbide, 6.687 mm in high-speed steel.', null, $tool(60)],
    'of carbide, yet more slender' => [
        $slot, 9, 'caution', 'T1 would break: the load is about 1.4 times what it can take.', null, $tool(90, ['material' => 'carbide']),
    ],
    'of high-speed steel' => [$slot, 9, 'caution', 'T1 deflects about 6.687 mm.', null, $tool(60, ['material' => 'high-speed-steel'])],
    'of carbide' => [$slot, 9, 'caution', 'T1 deflects about 2.340 mm.', null, $tool(60, ['material' => 'carbide'])],
    'with a thicker shank above its flute' => [
        $slot, 9, 'caution',
        'T1 deflects about 0.532 mm in carbide, 1.520 mm in high-speed steel.', null, $tool(60, ['fluteLength' => 12, 'shankDiameter' => 7]),
    ],
]);

it('says what the tool bears where it would break, and both bends where nobody says what it is made of', function () use ($tool, $slot): void {
    $says = static function (array $changes) use ($slot): string {
        $verification = Bench::verify(CheckCases::programOf($slot), $changes);
        foreach ($verification->findings as $finding) {
            if ($finding->check === 'cutting.deflection') {
                return (new Wording(Units::Millimetre))->text($finding);
            }
        }

        return '';
    };
    $mill = static fn (array $more): array => [
        'material' => 'steel', 'tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 2, 'flutes' => 2] + $more],
    ];
    expect($says($tool(60)))->toMatch('/^T1 deflects about 2\.\d+ mm in carbide, \d\.\d+ mm in high-speed steel\.$/')
        ->and($says($mill(['stickout' => 40])))->toMatch('/^T1 would break: the load is about \d+\.\d times what it can take\.$/')
        // A thick shank above a short flute.
        ->and(
            $says(
                [
                    'tools' => [
                        ['number' => 1, 'kind' => 'end-mill', 'diameter' => 6, 'flutes' => 3, 'stickout' => 60, 'fluteLength' => 10, 'shankDiameter' => 16],
                    ],
                ],
            ),
        )->toBe('');
});

CheckCases::staysQuiet('cutting.deflection', [
    'short' => [$slot, $tool(18)],
    'of carbide' => [$slot, $tool(28, ['material' => 'carbide'])],
    'a light cut' => [str_replace('Z-6.', 'Z-.3', $slot), $tool(45)],
    'a depth that lacks its point' => ["Z2.\nG1 Z-60. F600.\nG0 Z25.", $tool(60)],
    'how far it sticks out is not given' => [$slot],
]);

it('says what it was estimated from', function (array $more, string $as) use ($tool, $slot): void {
    $found = Bench::findings('cutting.deflection', Bench::verify(CheckCases::programOf($slot), $tool(60, $more)));
    expect($found)->toHaveCount(1)->and(Bench::remedy($found[0]))->toBe(
        'Use less stick-out, a lighter cut, or a thicker or stiffer tool. Estimated from 508 N at the tip, 60.000 mm of stick-out, '
            ."as a bar of {$as}: F L³ / (3 E I).",
    )->and($found[0]->field)->toBe('tools.0.stickout');
})->with([
    [['material' => 'high-speed-steel'], '4.800 mm (0.8 of 6.000 mm) of high-speed steel'],
    [['material' => 'carbide'], '4.800 mm (0.8 of 6.000 mm) of carbide'],
    [['fluteLength' => 70], '4.800 mm (0.8 of 6.000 mm); tool material not specified'],
    [
        ['fluteLength' => 12, 'shankDiameter' => 7, 'material' => 'high-speed-steel'],
        '4.800 mm (0.8 of 6.000 mm) over 12.000 mm and of 7.000 mm above of high-speed steel',
    ],
]);
