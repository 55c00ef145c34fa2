<?php

declare(strict_types=1);

use OakTrace\Core\Formats\DrawingColumns;
use OakTrace\Core\Formats\PackedColumns;
use OakTrace\Core\Formats\PartPath;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Verification;
use Tests\Core\Bench;
use Tests\Core\Demo;

/** A bar of 24 in a rotary along X, its centre on the zero of G54. */
const ON_ROTARY = [
    'machine' => ['axes' => ['A' => ['rapid' => 3600]]], 'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => 0, 'Z' => 0]]],
];

function pathOnPart(string $lines, array $changes = ON_ROTARY): PackedColumns
{
    $verification = Bench::verify(Bench::sound($lines), $changes);
    $columns = DrawingColumns::of($verification->trace, $verification->setup);
    PartPath::add($columns, $verification->setup, Units::Millimetre);

    return $columns;
}

it('turns every place back by where the axis stands', function (): void {
    // With A at 90 what is up in the machine was at the side of the part (ISO 841: the table turns against the sign of its axis).
    $columns = pathOnPart("G0 Z8.\nX10. Y3.\nG0 A90.\nA180.");
    $at = array_map(
        fn (float $y, float $z): array => [round($y, 4), round($z, 4)],
        array_slice($columns->numbers('partEndY'), -5, 4), array_slice($columns->numbers('partEndZ'), -5, 4),
    );
    expect($at)->toBe([[3.0, 8.0], [-8.0, 3.0], [-3.0, -8.0], [-3.0, -25.0]])
        ->and(array_slice($columns->numbers('turned'), -5, 4))->toBe([0, 1, 1, 1])
        ->and(count($columns->numbers('partX')))->toBe(count($columns->numbers('cornerX')));
});

it('says nothing where nothing turns the part, or nobody says where', function (string $lines, array $changes): void {
    expect(pathOnPart($lines, $changes)->numbers('turned'))->toBe([]);
})->with([
    'no turn' => ['G0 X10.', ON_ROTARY], 'a whole turn' => ['G0 A360.', ON_ROTARY], 'no centre' => ['G0 A90.', ['rotaryCenters' => null] + ON_ROTARY],
    'no rotary' => ['G0 X10.', []],
]);

it('lays the four flats of the arbor around its axis', function (): void {
    $verification = Verification::of(Program::fromText(Demo::text('1820')), Demo::setup('1820'));
    $columns = DrawingColumns::of($verification->trace, $verification->setup);
    PartPath::add($columns, $verification->setup, Units::Millimetre);
    [$y, $z] = [$columns->numbers('partY'), $columns->numbers('partZ')];
    // 17 across: finished flats lie 8.5 from the axis, above, below, in front and behind.
    foreach ([[$z, 8.5], [$z, -8.5], [$y, 8.5], [$y, -8.5]] as [$places, $flat]) {
        expect(count(array_filter($places, static fn (float|int $at): bool => abs($at - $flat) < 1e-3)))->toBeGreaterThan(3);
    }
});
