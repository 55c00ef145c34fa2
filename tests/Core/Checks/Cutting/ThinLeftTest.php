<?php

declare(strict_types=1);

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

// The stock is 25 thick; its right side stands at X50, and the cells of these tests are 0.5.
$floor = fn (string $z): string => "Z2.\nG1 Z-12. F300.\nZ-{$z}\nX20.\nG0 Z25.";
$slots = fn (string $y): string => "X-60.\nZ2.\nG1 Z-4. F300.\nX60.\nG0 Z2.\nX-60. Y{$y}\nG1 Z-4. F300.\nX60.\nG0 Z25.";
$thinner = ['thinnest' => 1.5];

CheckCases::raises('cutting.thin-left', [
    'a floor of 0.3' => [
        $floor('24.7'), 8, 'caution', 'T1 leaves a floor 0.300 mm thick at X −1.250 mm Y −4.750 mm; the limit is 0.500 mm.', null,
    ],
    'a wall of 1 between two slots' => [$slots('11.'), 13, 'caution', 'T1 leaves a wall 1.000 mm thick at X −49.250 mm Y 5.250 mm, standing to Z '
        .'0.000 mm; the limit is 1.500 mm.', null, $thinner],
    'a wall of 1 at the side of the stock' => [
        "X44. Y-60.\nZ2.\nG1 Z-4. F300.\nY60.\nG0 Z25.", 9, 'caution',
        'T1 leaves a wall 1.000 mm thick at X 49.250 mm Y −39.250 mm, standing to Z 0.000 mm; the limit is 1.500 mm.', null,
        $thinner,
    ],
    'a wall of 1 between slots along Y' => [
        "X0. Y-60.\nZ2.\nG1 Z-4. F300.\nY60.\nG0 Z2.\nX-11. Y-60.\nG1 Z-4. F300.\nY60.\nG0 Z25.", 13, 'caution',
        'T1 leaves a wall 1.000 mm thick at X −5.750 mm Y −39.250 mm, standing to Z 0.000 mm; the limit is 1.500 mm.', null,
        $thinner,
    ],
]);

CheckCases::staysQuiet('cutting.thin-left', [
    'a floor of 0.6' => [$floor('24.4')],
    'through' => [$floor('25.2')],
    'a wall of 2' => [$slots('12.'), $thinner],
    'a thin wall, where it is said to be meant' => [$slots('11.'), ['thinnest' => 0]],
    'a rib lower than a millimetre' => [str_replace('Z-4.', 'Z-.8', $slots('11.')), $thinner],
]);

it('measures a wall that is thinner than its cells, whichever way it runs', function (string $lines, float $thickness): void {
    $found = array_values(
        array_filter(
            Bench::verify(CheckCases::programOf($lines), ['thinnest' => 0.5])->findings,
            fn (Finding $finding): bool => $finding->check === 'cutting.thin-left',
        ),
    );
    expect($found)->toHaveCount(1)->and($found[0]->figures['thickness']->value)->toEqualWithDelta($thickness, 0.01);
})->with([
    'along X' => [$slots('10.3'), 0.3],
    'along Y' => ["X0. Y-60.\nZ2.\nG1 Z-4. F300.\nY60.\nG0 Z2.\nX-10.22 Y-60.\nG1 Z-4. F300.\nY60.\nG0 Z25.", 0.22],
    // A round pocket beside the side of the stock at X50: 41.6 + 8 stands 0.4 from it.
    'beside an arc' => ["X44.6 Y0.\nZ2.\nG1 Z-4. F100.\nG3 I-3. F300.\nG0 Z25.", 0.4],
]);

it('takes a tip that runs out for no wall', function (): void {
    // A slot that leaves the side of the stock at a slant: the corner beside it runs out to nothing.
    expect(Bench::names(Bench::verify(CheckCases::programOf("X40. Y-30.\nZ2.\nG1 Z-4. F300.\nX52. Y30.\nG0 Z25."))))->not->toContain('cutting.thin-left');
});

it('says so where only the point of a drill goes through', function (float $depth, ?string $text): void {
    $run = Bench::verify(Bench::sound("G98 G81 X20. Y0. Z-{$depth} R2. F100.\nG80"), ['tools' => [['number' => 1, 'kind' => 'drill', 'diameter' => 10]]]);
    $found = array_values(array_filter($run->findings, fn (Finding $finding): bool => $finding->check === 'cutting.thin-left'));
    expect($found === [] ? null : (new Wording(Units::Millimetre))->text($found[0]))->toBe($text);
})->with([
    'its point' => [26.0, 'Only the point of T1 goes through at X 20.000 mm Y 0.000 mm: its full diameter ends 2.004 mm before.'],
    'all of it' => [28.1, null],
]);
