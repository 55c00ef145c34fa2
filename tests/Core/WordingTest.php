<?php

declare(strict_types=1);

use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Question;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;

/** What a machinist reads: the finding, its remedy and the question it answers, word for word. */
it('says it in these words', function (string $text, array $changes, string $says, string $remedy, string $question): void {
    $verification = Bench::verify($text, $changes);
    $wording = new Wording($verification->setup->units);
    $finding = $verification->findings[0];
    expect($wording->text($finding))->toBe($says)->and($wording->remedy($finding))->toBe($remedy)->and(Question::of($finding->check)->value)->toBe($question);
})->with([
    'a letter for a figure' => [
        Bench::sound('G0 X1O.'), [],
        'X1O. has the letter O where a zero belongs.',
        'Write the digit 0.',
        'Does it read?',
    ],
    'an unknown code' => [
        Bench::sound('G47 X5.'), [],
        'G47 is not a code of the control profile ISO mill; what it does is not known here.',
        'Check the code, or remove it.',
        'Does it read?',
    ],
    'two codes of a group' => [
        Bench::sound('G90 G91 G0 X5.'), [],
        'G90 and G91 conflict (distance mode) in one block; G91 was used.',
        'Remove one of them, or give it its own block.',
        'Does it read?',
    ],
    'a bare number' => [
        Bench::sound("G0 X10\nX12"), [],
        'X10 has no decimal point. This control reads it as 10.000 mm; a control that counts least increments would read 0.010 mm.',
        'Write the decimal points; 2 lines lack them.',
        'Does it read?',
    ],
    'a bare number in least increments' => [
        Bench::sound('G0 X10'), ['machine' => ['control' => ['bareNumbers' => 'increments']]],
        'X10 has no decimal point. This control counts least increments: it goes to 0.010 mm, not 10.000 mm.',
        'Write the decimal point.',
        'Does it read?',
    ],
    'an arc off its circle' => [
        Bench::sound('G2 X10. Y0.5 I5. J0. F100.'), [],
        'The arc starts on a radius of 5.000 mm and ends on 5.025 mm: 0.025 mm apart. Allowed: 0.002 mm.',
        'Check the end point and the centre. A centre that fits these ends: I 5.012 mm J 0.001 mm from the start.',
        'Does it read?',
    ],
    'an arc that cannot span' => [
        Bench::sound('G2 X30. Y0. R10. F100.'), [],
        'R 10.000 mm cannot span the 30.000 mm between start and end; it takes at least 15.000 mm. It is drawn as a straight line.',
        'Check R and the end point.',
        'Does it read?',
    ],
    'a spindle that stands' => [
        Bench::sound("M5\nG1 X5. F100."), [],
        'T1 cuts with the spindle stopped.',
        'Start the spindle (S and M3) after the tool change. A tool change stops it.',
        'Is the machine ready for each cut?',
    ],
    'too high a speed' => [
        Bench::sound('S9000'), [],
        'S9000 is over the 6000 rev/min limit of T1.',
        'Lower the speed, or correct the limit in the setup.',
        'Is the machine ready for each cut?',
    ],
    'a length of the tool before' => [
        Bench::sound("T2 M6\nG0 X5. S900 M3\nZ-10."), [],
        'T2 moves down with the length offset of the tool before it (H1) still active.',
        'State G43 H2 with the first Z move after the tool change.',
        'Is the machine ready for each cut?',
    ],
    'a cycle left on' => [
        Bench::sound("G99 G83 X0. Y0. Z-9. R2. Q3. F100.\nZ30."), [],
        'The peck drilling cycle is still on: this Z is taken as its depth, and the next X or Y makes a hole.',
        'Cancel the cycle with G80 after its last hole.',
        'Is the machine ready for each cut?',
    ],
    'through the bottom' => [
        Bench::sound("G0 Z2.\nG1 Z-27.5 F100.\nG0 Z25."), [],
        'T1 cuts at Z −27.500 mm, 2.500 mm below the bottom of the stock (−25.000 mm). Allowed break-through: 1.000 mm.',
        'Check the depth, the stock and Z zero. What lies under the part: parallels, jaws, table?',
        'Are the heights right?',
    ],
    'a rapid into the stock' => [
        Bench::sound("G0 Z-1.\nZ25."), [],
        'T1 rapids into the stock: at Z −1.000 mm it is 1.000 mm into what is left of it.',
        'Rapid above what is left of the stock, and feed in.',
        'Are the heights right?',
    ],
    'a low crossing' => [
        Bench::sound("G0 Z.5\nX20.\nZ25."), [],
        'T1 crosses the part at rapid 0.500 mm above what stands there; the clearance is 2.000 mm.',
        'Lift to the clearance before crossing.',
        'Are the heights right?',
    ],
    'past a limit' => [
        Bench::sound('G0 X410.'), [],
        'X runs past its plus limit of 0.000 mm: furthest 10.000 mm, 10.000 mm too far, on line 6.',
        'G54 X must lie between −760.000 mm and −410.000 mm for everything to be inside. Is the offset touched off right?',
        'Does it fit the machine?',
    ],
    'more than the machine has' => [
        Bench::sound("G0 Y-200.\nY215."), [],
        'Y needs 415.000 mm of travel in G54 and the machine has 410.000 mm: 5.000 mm too little, wherever G54 is set.',
        'Turn the part, split the job into two setups, or use a machine with more travel.',
        'Does it fit the machine?',
    ],
    'a sign of the other school' => [
        Bench::sound('G0 X1.'), ['offsets' => ['H' => ['1' => 250]], 'machine' => ['axes' => ['Z' => ['max' => 500]]]],
        'H1 is 250.000 mm. Lengths touched off from home are negative.',
        'Check H1 and how this setup measures its tools.',
        'Are the offsets right?',
    ],
]);

it('writes loads with the units that go with the lengths', function (Quantity $quantity, string $metric, string $inch): void {
    expect((new Wording(Units::Millimetre))->figure($quantity))->toBe($metric)->and((new Wording(Units::Inch))->figure($quantity))->toBe($inch);
})->with([
    [fn (): Quantity => Quantity::power(0.74569987), '0.75 kW', '1.00 hp'],
    [fn (): Quantity => Quantity::torque(13.558179), '13.6 N m', '10.0 ft lbf'],
    [fn (): Quantity => Quantity::force(444.82216), '445 N', '100 lbf'],
    [fn (): Quantity => Quantity::removalRate(163.87064), '163.9 cm³/min', '10.00 in³/min'],
    [fn (): Quantity => Quantity::unitPower(2.730277), '2.73 kW s/cm³', '1.00 hp min/in³'],
    [fn (): Quantity => Quantity::volume(16387.064), '16387.1 mm³', '1.0000 in³'],
]);

it('names codes and letters as the control in use writes them', function (string $lines, array $control, string $says): void {
    $text = strtr(Bench::sound($lines), ['G80' => $control['codes']['cycle-off'] ?? 'G80', 'G40' => $control['codes']['cutter-off'] ?? 'G40']);
    $verification = Bench::verify($text, ['machine' => ['control' => ['rapidPath' => 'straight'] + $control]]);
    $wording = new Wording($verification->setup->units);
    expect(array_map($wording->remedy(...), $verification->findings))->toContain($says);
})->with([
    'a cycle' => ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nT2 M6", [], 'Cancel the cycle with G80 after its last hole.'],
    'a cycle under another code' => [
        "G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nT2 M6", ['codes' => ['cycle-off' => 'G180']], 'Cancel the cycle with G180 after its last hole.',
    ],
    'compensation' => [
        "G1 Z1. F200.\nG41 D1 X10.\nX30.", ['codes' => ['cutter-off' => 'G400']], 'Cancel it with G400 on a straight move away from the part first.',
    ],
    'a dwell' => ['G4', [], 'Give the dwell a P.'],
    'a peck by another letter' => ["Z5.\nG98 G83 X0. Y0. Z-9. R2. F100.\nG80", ['words' => ['peck' => 'E']], 'Give the cycle its E.'],
    'a dwell by another letter' => ['G4', ['words' => ['dwell' => 'X']], 'Give the dwell a X.'],
]);
