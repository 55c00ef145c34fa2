<?php

declare(strict_types=1);

use OakTrace\Core\Formulas\Cantilever;
use OakTrace\Core\Formulas\ChipThickness;
use OakTrace\Core\Formulas\Cusp;
use OakTrace\Core\Formulas\GripStrength;
use OakTrace\Core\Formulas\MachiningPower;

const HORSEPOWER = 0.74569987;
const CUBIC_INCH = 16.387064;

// Machinery's Handbook, Estimating Machining Power, worked examples (from memory): its figures are rounded to two or three places.
it('reckons power as the handbook does: turning', function (): void {
    // 180 to 200 HB steel, 0.40 mm a turn, 107 m/min, 2.54 mm deep: Kp 2.24, C 0.94, W 1.30, E 0.80, Q 1.81 cm³/s; Pc 4.95 kW, Pm 6.19 kW.
    $power = MachiningPower::atTheCut(2.24, MachiningPower::feedFactor(0.40), 107 / 60 * 0.40 * 2.54, 1.30);
    expect($power)->toEqualWithDelta(4.95, 0.02)->and($power / MachiningPower::USUAL_EFFICIENCY)->toEqualWithDelta(6.19, 0.03)
        // The same in inches: 6.74 hp at the cut, 8.42 at the motor.
        ->and($power / HORSEPOWER)->toEqualWithDelta(6.74, 0.12);
});

it('reckons power as the handbook does: milling', function (): void {
    // 160 to 180 HB grey iron 6 in wide, 1/8 deep, 8 in cutter of 10 teeth, 0.012 in a tooth (0.30 mm), on 10 hp: Kp 1.42, C 1.00, W 1.20,
    // E 0.80; 12.8 in³/min, a feed of 17 in/min, about 142 rev/min.
    $rate = MachiningPower::USUAL_EFFICIENCY * 10 * HORSEPOWER / (MachiningPower::unitPower('cast iron') * MachiningPower::feedFactor(0.30) * 1.20);
    $feed = $rate * 60 / CUBIC_INCH / (6 * 0.125);
    expect($rate * 60 / CUBIC_INCH)->toEqualWithDelta(12.8, 0.1)->and($feed)->toEqualWithDelta(17.0, 0.2)->and($feed / (0.012 * 10))->toEqualWithDelta(142, 2);
});

it('agrees with itself on force and torque', function (): void {
    // 2 kW at 3000 rev/min: P = 2 π n T, and F on a radius of 5 mm makes T (mechanics).
    expect(MachiningPower::torque(2.0, 3000))->toEqualWithDelta(2000 / (2 * M_PI * 50), 1e-9)
        ->and(MachiningPower::force(2.0, 10, 3000) * 0.005)->toEqualWithDelta(MachiningPower::torque(2.0, 3000), 1e-9);
});

it('knows the more special material first, and none it does not know', function (): void {
    $powers = array_map(
        MachiningPower::unitPower(...),
        ['aluminium 6 mm plate', 'free-cutting brass', 'brass', 'stainless steel', 'tool steel', 'free machining steel', 'steel', 'oak', null],
    );
    expect($powers)->toBe([0.90, 0.68, 1.36, 2.24, 2.75, 1.31, 2.13, null, null]);
});

it('takes the feed factor between the rows of the table, and its ends beyond', function (): void {
    expect(array_map(MachiningPower::feedFactor(...), [0.001, 0.02, 0.035, 0.10, 0.30, 5.0]))->toEqualWithDelta([1.70, 1.70, 1.55, 1.25, 1.00, 0.87], 1e-9);
});

it('thins the chip beside a cutter', function (): void {
    // A tooth leaves a cut of width w at the angle whose cosine is 1 − 2 w / D; the chip is the feed times its sine (geometry).
    foreach ([0.02, 0.1, 0.3, 0.5] as $share) {
        expect(ChipThickness::thickest(0.1, 10 * $share, 10))->toEqualWithDelta(0.1 * sin(acos(1 - 2 * $share)), 1e-12);
    }
    expect(ChipThickness::thickest(0.1, 10, 10))->toBe(0.1);
});

it('leaves a cusp between round edges', function (): void {
    expect(Cusp::height(5, 2))->toEqualWithDelta(5 - sqrt(24), 1e-12)->and(Cusp::height(3, 7))->toBe(3.0);
});

it('bends a bar as statics has it', function (): void {
    // 100 N at the end of 100 mm of 10 mm steel, 210 000 N/mm²: I = 490.87 mm⁴, 0.3234 mm.
    expect(Cantilever::deflection(100, 100, 100, 10, 10, Cantilever::HIGH_SPEED_STEEL))->toEqualWithDelta(0.3234, 1e-4)
        // Twice as long bends eight times as far, twice as thick a sixteenth.
        ->and(Cantilever::deflection(100, 200, 200, 20, 20, Cantilever::HIGH_SPEED_STEEL))->toEqualWithDelta(0.3234 / 2, 1e-4)
        // A short thin end on a thick shank bends little more than the shank: (20³ / 5⁴ + (100³ − 20³) / 10⁴) / (100³ / 10⁴).
        ->and(Cantilever::deflection(100, 100, 20, 5, 10, Cantilever::HIGH_SPEED_STEEL))->toEqualWithDelta(0.3234 * (12.8 + 99.2) / 100, 1e-4)
        // And breaks where it is thin, or where it is held: 32 × 100 × 100 / (π 10³).
        ->and(Cantilever::stress(100, 100, 100, 10, 10))->toEqualWithDelta(101.859, 1e-3)
        ->and(Cantilever::stress(100, 100, 20, 5, 10))->toEqualWithDelta(162.975, 1e-3);
});

it('holds by friction on two faces, and by the press on half the depth', function (): void {
    expect(GripStrength::againstSliding(10_000))->toBe(3000.0)->and(GripStrength::againstTipping(10_000, 8))->toBe(40.0);
});
