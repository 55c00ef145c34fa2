<?php

declare(strict_types=1);

use OakTrace\Core\Formulas\Cusp;
use OakTrace\Core\Formulas\MachiningPower;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Load\Loads;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;
use Tests\Core\Bench;

/** The loads of some lines on the shop's mill, whose axes are at their speed at once so that a feed is what it says. */
function loadsOf(string $lines, array $changes = []): Loads
{
    $axes = array_fill_keys(['X', 'Y', 'Z'], ['acceleration' => null]);
    $setup = Bench::setup(array_replace_recursive(['machine' => ['axes' => $axes]], $changes));
    Verification::of(Program::fromText(Bench::sound($lines)), $setup, stock: $stock = StockRun::in($setup, 0.25));

    return $stock->loads;
}

it('reckons a slot by hand', function (): void {
    // Ø10, three flutes, 3000 rev/min, 900 mm/min: 0.1 mm a tooth, C 1.25; 10 wide and 4 deep: 36 cm³/min of aluminium, W 1.1.
    $load = loadsOf("X-60.\nZ2.\nG1 Z-4. F900.\nX60.\nG0 Z25.")->strongest[1];
    $power = 0.90 * 1.25 * (36 / 60) * 1.1;
    expect($load->rate)->toEqualWithDelta(36.0, 1.6)
        ->and($load->feedPerTooth)->toEqualWithDelta(0.1, 1e-6)
        ->and($load->power)->toEqualWithDelta($power, 0.04)
        ->and($load->torque)->toEqualWithDelta(MachiningPower::torque($power, 3000), 0.12)
        // One and a half teeth are in the cut: what they push together is P over v.
        ->and($load->force)->toEqualWithDelta(MachiningPower::force($power, 10, 3000), 25)
        ->and($load->below)->toEqualWithDelta(4.0, 1e-9);
});

it('asks half the power of half the width, and as much in twice the passes', function (): void {
    $slot = loadsOf("X-60. Y-40.\nZ2.\nG1 Z-4. F900.\nX60.\nG0 Z25.");
    $shallow = loadsOf("X-60. Y0.\nZ2.\nG1 Z-2. F900.\nX60.\nZ-4.\nX-60.\nG0 Z25.");
    $full = loadsOf("X-60. Y0.\nZ2.\nG1 Z-4. F900.\nX60.\nG0 Z25.");
    expect($slot->strongest[1]->power)->toEqualWithDelta($full->strongest[1]->power / 2, 0.03)
        ->and($shallow->strongest[1]->power)->toEqualWithDelta($full->strongest[1]->power / 2, 0.03);
});

it('asks more of harder material, of a used drill, and of a finer feed for as much taken off', function (): void {
    $slot = "X-60.\nZ2.\nG1 Z-4. F900.\nX60.\nG0 Z25.";
    $steel = loadsOf($slot, ['material' => 'steel'])->strongest[1];
    $aluminium = loadsOf($slot)->strongest[1];
    expect($steel->power / $aluminium->power)->toEqualWithDelta(2.13 / 0.90, 1e-6);
    $drill = loadsOf("T2 M6\nS1500 M3\nX0. Y0.\nG43 H2 Z25.\nG81 X0. Y0. Z-20. R2. F300.\nG80")->strongest[2];
    // Ø8.5 at 300 mm/min, where its point is in; straight down it bends nothing.
    expect($drill->rate)->toEqualWithDelta(M_PI * 4.25 ** 2 * 0.3, 0.1)->and([$drill->wear, $drill->deflection])->toBe([1.3, 0.0]);
});

it('puts the whole push on one tooth where less than one is in the cut', function (): void {
    $tool = fn (int $flutes): array => ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'flutes' => $flutes, 'stickout' => 40]]];
    // 2 wide: the teeth are in the cut over 53°.
    $pass = "X-60. Y43.\nZ-5.\nG1 X60. F900.\nG0 Z25.";
    $one = loadsOf($pass, $tool(1))->strongest[1];
    $mean = MachiningPower::force($one->power, 10, 3000);
    expect($one->force)->toBeGreaterThan(2.5 * $mean)
        // No more than its thickest chip takes: 5 deep, 0.3 a tooth thinned to 0.8 of it.
        ->and($one->force)->toBeLessThanOrEqual(1000 * 0.90 * $one->feedFactor * 1.1 * 5 * 0.3 * 0.8 + 25)
        ->and(loadsOf($pass, $tool(8))->strongest[1]->force)->toEqualWithDelta(
            $mean * (MachiningPower::feedFactor(0.0375) / MachiningPower::feedFactor(0.3)), 25,
        );
});

it('tells the cusps between the passes of a ball mill', function (): void {
    $rows = implode("\n", array_map(fn (int $n): string => sprintf("G1 Y%.1f F600.\nX%d.", -10 + 1.5 * $n, $n % 2 === 0 ? 40 : -40), range(0, 12)));
    $loads = loadsOf(
        "X-40. Y-12.\nZ2.\nG1 Z-1. F300.\n{$rows}\nG0 Z25.", ['tools' => [['number' => 1, 'kind' => 'ball-mill', 'diameter' => 12, 'flutes' => 2]]],
    );
    expect($loads->passesApart(1))->toEqualWithDelta(1.5, 0.15)
        ->and($loads->cusp(1))->toEqualWithDelta(Cusp::height(6, $loads->passesApart(1)), 1e-12)
        ->and($loads->cusp(2))->toBeNull();
});

it('reckons nothing where it does not know enough', function (array $changes): void {
    $loads = loadsOf("X-60.\nZ2.\nG1 Z-4. F900.\nX60.\nG0 Z25.", $changes);
    expect($loads->strongest)->toBe([])->and($loads->peakPower)->toBeNull()->and($loads->peakDeflection)->toBe([]);
})->with([
    'the material' => [['material' => 'moon rock']],
    'the flutes' => [['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10]]]],
]);

it('keeps the stretch that bends a tool most, and the one that pushes hardest', function (): void {
    $loads = loadsOf(
        "X-60.\nZ2.\nG1 Z-2. F900.\nX60.\nZ-6.\nX-60.\nG0 Z25.",
        ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'flutes' => 3, 'stickout' => 50]]],
    );
    expect($loads->peakDeflection[1]->line)->toBe(11)
        ->and($loads->peakPower)->toEqual($loads->peakDeflection[1])
        ->and($loads->peakDeflection[1]->deflection)->toBeGreaterThan(0.05);
});

it('reckons a light pass by what it takes, where no look ahead of the tool meets anything', function (): void {
    // The wall stands at Y −40, and 0.2 of it is shaved off: 0.2 × 4 × 900 is 0.72 cm³/min.
    $mills = array_map(fn (int $number): array => ['number' => $number, 'kind' => 'end-mill', 'diameter' => 10, 'flutes' => 3], [1, 2]);
    $loads = loadsOf(
        "X-70. Y-45.\nZ2.\nG1 Z-4. F900.\nX70.\nG0 Z25.\nT2 M6\nG54 G0 X-70. Y-44.8\nS3000 M3\nG43 H2 Z2.\nG1 Z-4. F900.\nX70.\nG0 Z25.",
        ['tools' => $mills],
    );
    expect($loads->strongest[2]->rate)->toEqualWithDelta(0.72, 0.1);
});
