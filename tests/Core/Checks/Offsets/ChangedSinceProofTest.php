<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Proving\Fingerprint;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\CheckCases;
use Tests\Core\Lathe;

/**
 * A setup in which a program has been proven, and what has been changed in it since.
 *
 * @param  array<string, mixed>  $since
 * @return array<string, mixed>
 */
function proven(string $lines, array $since): array
{
    $parts = Fingerprint::of(Program::fromText(Bench::sound($lines)), Bench::setup());

    return ['proof' => ['on' => '2026-03-02', 'by' => 'J. Fern', 'parts' => $parts]] + $since;
}

CheckCases::raises('offsets.changed-since-proof', [
    ['G0 X1.', 1, 'caution', 'Changed since this program was proven on 2026-03-02 by J. Fern: the program.', null, proven('G0 X2.', [])],
    [
        'G0 X1.', 1, 'caution', 'Changed since this program was proven on 2026-03-02 by J. Fern: H1 from −250.000 mm to −250.100 mm.', null,
        proven('G0 X1.', ['offsets' => ['H' => ['1' => -250.1]]]),
    ],
    [
        'G0 X1.', 1, 'caution', 'Changed since this program was proven on 2026-03-02 by J. Fern: G54.', null,
        proven('G0 X1.', ['workOffsets' => ['G54' => ['X' => -401]]]),
    ],
    [
        'G0 X1.', 1, 'caution', 'Changed since this program was proven on 2026-03-02 by J. Fern: the machine.', null,
        proven('G0 X1.', ['machine' => ['axes' => ['X' => ['max' => 10]]]]),
    ],
    [
        'G0 X1.', 1, 'caution', 'Changed since this program was proven on 2026-03-02 by J. Fern: its control.', null,
        proven('G0 X1.', ['machine' => ['control' => ['rapidPath' => 'independent']]]),
    ],
    [
        'M98 P2000', 1, 'caution', 'Changed since this program was proven on 2026-03-02 by J. Fern: O2000.', null,
        proven('M98 P2000', ['subprograms' => ['O2000' => "G0 X1.\nM99"]]),
    ],
    'several at once' => [
        'G0 X1.', 1, 'caution',
        'Changed since this program was proven on 2026-03-02 by J. Fern: the program, G54, H1 from −250.000 mm to −250.100 mm.', null,
        proven('G0 X2.', ['workOffsets' => ['G54' => ['X' => -401]], 'offsets' => ['H' => ['1' => -250.1]]]),
    ],
    'a diameter in use' => [
        "G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 1, 'caution',
        'Changed since this program was proven on 2026-03-02 by J. Fern: D1 from 10.000 mm to 9.900 mm.', null,
        proven("G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", ['offsets' => ['D' => ['1' => 9.9]]]),
    ],
    'a tool in use' => [
        'G0 X1.', 1, 'caution', 'Changed since this program was proven on 2026-03-02 by J. Fern: T1.', null,
        proven('G0 X1.', ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 12]]]),
    ],
]);

CheckCases::staysQuiet('offsets.changed-since-proof', [
    ['G0 X1.', proven('G0 X1.', [])],
    ['G0  X1. (A WORD MORE)', proven('g0x1.', [])],
    ['G0 X1.', proven('G0 X1.', ['offsets' => ['H' => ['2' => -231]]])],
    ['G0 X1.', proven('G0 X1.', ['workOffsets' => ['G55' => ['X' => -100]]])],
    ['G0 X1.', proven('G0 X1.', ['subprograms' => ['O2000' => 'M99']])],
    'a diameter of another tool, or of none in use' => ['G0 X1.', proven('G0 X1.', ['offsets' => ['D' => ['1' => 9.9]]])],
    'a tool that does not come' => ['G0 X1.', proven('G0 X1.', ['tools' => [
        ['number' => 1, 'name' => '10 end mill', 'kind' => 'end-mill', 'diameter' => 10, 'flutes' => 3, 'maxRpm' => 6000],
        ['number' => 2, 'kind' => 'drill', 'diameter' => 8],
    ]])],
    ['G0 X1.', proven('G0 X1.', ['clearance' => 3, 'material' => 'brass'])],
]);

it('watches the offsets of a lathe too, those the program uses', function (array $tools, array $words): void {
    $text = "G21 G99\nT0101\nG97 S800 M3\nG0 X44. Z2.\nG28 U0 W0\nM30";
    $parts = Fingerprint::of(Program::fromText($text), Lathe::setup());
    $findings = array_filter(
        Lathe::verify($text, ['proof' => ['on' => '2026-03-02', 'parts' => $parts], 'offsets' => ['T' => $tools]])->findings,
        static fn ($finding): bool => $finding->check === 'offsets.changed-since-proof',
    );
    expect(array_map(static fn ($finding): mixed => $finding->figures['what'], array_values($findings)))->toBe($words);
})->with([
    'the one in use' => [['1' => ['X' => 0.04]], ['offset 1']], 'another' => [['2' => ['X' => 0.04]], []], 'none' => [['1' => ['X' => 0]], []],
]);

it('says from what to what an offset was changed', function (callable $taken, string $text): void {
    $since = proven('G0 X1.', ['offsets' => ['H' => ['1' => -250.1]]]);
    $since['proof']['parts'] = array_map($taken, $since['proof']['parts']);
    $finding = Bench::verify(Bench::sound('G0 X1.'), $since)->findings[0];
    expect((new Wording(Units::Millimetre))->text($finding))->toContain($text);
})->with([
    'with its value behind the fingerprint' => [fn (string $part): string => $part, 'by J. Fern: H1 from −250.000 mm to −250.100 mm.'],
    'of a fingerprint taken before values stood behind them' => [fn (string $part): string => substr($part, 0, 16), 'by J. Fern: H1.'],
]);
