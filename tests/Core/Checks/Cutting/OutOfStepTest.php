<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$two = [
    'workOffsets' => ['G55' => ['X' => -250, 'Y' => -200, 'Z' => 0]],
    'moreStock' => [['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0], 'workOffset' => 'G55']],
];
/** A slot in steps. */
$slot = fn (float ...$depths): string => "G0 X-20. Y0.\nZ2.\n".implode(
    '', array_map(fn (float $depth): string => "G1 Z-{$depth} F100.\nX20. F300.\nX-20.\n", $depths),
)."G0 Z25.\n";

CheckCases::raises('cutting.out-of-step', [
    'the step-down forgotten in the second vice' => [
        $slot(0.5, 1.0, 1.5, 2.0).'G55 '.$slot(2.0), 24, 'caution', 'T1 takes 2.000 mm at G55; the same pass at G54, on line 18, takes 0.500 mm.', null,
        $two,
    ],
    'a point lost in the second vice, within the stock' => [
        $slot(1.0).'G55 '.$slot(10.0), 15, 'caution', 'T1 takes 10.000 mm at G55; the same pass at G54, on line 9, takes 1.000 mm.', null, $two,
    ],
    'the first pass left out there' => [
        $slot(1.5, 3.0).'G55 '.$slot(3.0), 18, 'caution', 'T1 takes 3.000 mm at G55; the same pass at G54, on line 12, takes 1.500 mm.', null, $two,
    ],
]);

it('tells each vice where a step is missing', function () use ($two, $slot): void {
    $three = $two;
    $three['workOffsets']['G56'] = ['X' => -100, 'Y' => -200, 'Z' => 0];
    $three['moreStock'][] = ['workOffset' => 'G56'] + $two['moreStock'][0];
    $found = Bench::findings('cutting.out-of-step', Bench::verify(Bench::sound($slot(1.5, 3.0).'G55 '.$slot(3.0).'G56 '.$slot(3.0)), $three));
    expect(array_map(static fn (Finding $finding): string => (string) $finding->figures['work'], $found))->toBe(['G55', 'G56']);
});

CheckCases::staysQuiet('cutting.out-of-step', [
    'the same steps in both' => [$slot(1.5, 3.0).'G55 '.$slot(1.5, 3.0), $two],
    'another slot in the second' => [$slot(1.5, 3.0).'G55 '.str_replace('X20.', 'X35.', $slot(3.0)), $two],
    'a deeper slot in the second, no point lost' => [$slot(1.0).'G55 '.$slot(6.0), $two],
    'one vice' => [$slot(1.5, 3.0)],
]);
