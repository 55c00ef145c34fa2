<?php

declare(strict_types=1);

use Eris\Generator\ChooseGenerator;
use Eris\Generator\SequenceGenerator;
use Eris\Generator\TupleGenerator;
use Eris\TestTrait;
use OakTrace\Core\Formats\CheckResult;
use Tests\Core\Bench;

uses(TestTrait::class);

it('writes used and spare travel, extents and fit', function (): void {
    $summary = CheckResult::of(Bench::verify(Bench::sound("G0 X-30. Y-20.\nZ2.\nG1 Z-12. F200.\nX30. Y20.\nG0 Z50.\nG53 Z0.")))['summary'];
    expect((array) $summary['reach']->X)->toEqual(['limit' => [-760, 0], 'used' => [-430, -370], 'spare' => [330, 370], 'lines' => [6, 9]])
        ->and((array) $summary['extents']['work']->G54)->toEqual(['X' => [-30, 30], 'Y' => [-20, 20], 'Z' => [-12, 50]])
        ->and((array) $summary['extents']['machine'])->toEqual(['X' => [-430, -370], 'Y' => [-220, -180], 'Z' => [-262, 0]])
        ->and($summary['fit']->G54)->toEqual(['X' => [-730, -30], 'Y' => [-390, -20], 'Z' => [-198, 200]])
        ->and($summary['tools'][0])->toMatchArray(['number' => 1, 'lowestZ' => -12.0, 'deepestCut' => 12.0]);
});

it('counts an axis from its first move, and leaves machine moves out of the fit', function (): void {
    $summary = CheckResult::of(Bench::verify("G21 G90\nT1 M6\nG54 G0 X5. S900 M3\nG53 Y-300.\nM30"))['summary'];
    expect(array_keys((array) $summary['reach']))->toBe(['X', 'Y', 'Z'])
        ->and(array_keys($summary['fit']->G54))->toBe(['X'])
        ->and($summary['extents']['machine']->Y)->toEqual([-300, -300]);
});

it('names the lines that go furthest however far they are from each other', function (): void {
    $lines = "G0 X-30.\n#1=0\nWHILE[#1LT2500]DO1\nG1 Y1. F500.\nY0.\n#1=#1+1\nEND1\nG0 X30.";
    $reach = static fn (string $lines): array => CheckResult::of(Bench::verify(Bench::sound($lines)))['summary']['reach']->X['lines'];
    expect($reach($lines))->toBe([6, 13])->and($reach(strtr($lines, ['X-30.' => 'X30.', 'X30.' => 'X-30.'])))->toBe([13, 6]);
});

it('says null where no offset fits', function (): void {
    $summary = CheckResult::of(Bench::verify(Bench::sound("G0 Y-210.\nY210.")))['summary'];
    expect($summary['fit']->G54['Y'])->toBeNull()->and($summary['fit']->G54['X'])->not->toBeNull();
});

it('has a fit whose ends are just inside the travel, whatever the program', function (): void {
    $point = new TupleGenerator([new ChooseGenerator(-300, 300), new ChooseGenerator(-150, 150), new ChooseGenerator(0, 1)]);
    $this->limitTo(20)->forAll(new SequenceGenerator($point))->then(function (array $points): void {
        $text = "G21 G90\nT1 M6\nG54 G0 X0. Y0. S900 M3\nG43 H1 Z25.\n";
        foreach ($points as [$x, $y, $bend]) {
            $text .= $bend === 1 && [$x, $y] !== [0, 0] ? "G2 X{$x}. Y{$y}. R900. F100.\n" : "G0 X{$x}. Y{$y}.\n";
        }
        [$low, $high] = Bench::verify($text)->input->reach->fit('G54', 'Y') ?? [null, null];
        if ($low === null) {
            return;
        }
        foreach ([[$low + 0.001, false], [$high - 0.001, false], [$low - 0.01, true], [$high + 0.01, true]] as [$y, $over]) {
            $names = Bench::names(Bench::verify($text, ['workOffsets' => ['G54' => ['Y' => $y]]]));
            expect(in_array('travel.overrun', $names, true))->toBe($over);
        }
    });
});

it('keeps every motion inside at the ends of what fits, and not beyond them, whatever moves it', function (string $lines, array $changes): void {
    $text = Bench::sound($lines);
    $reach = Bench::verify($text, $changes)->input->reach;
    $compared = 0;
    foreach ($reach->work as $work => $extents) {
        foreach (array_intersect(array_keys($extents), ['X', 'Y', 'Z']) as $axis) {
            foreach ([0, 1] as $end) {
                $at = $reach->fit($work, $axis)[$end];
                $stops = fn (float $beyond): array => array_filter(
                    Bench::names(Bench::verify($text, array_replace_recursive($changes, ['workOffsets' => [$work => [$axis => $at + $beyond]]]))),
                    fn (string $name): bool => in_array($name, ['travel.overrun', 'travel.does-not-fit'], true),
                );
                expect($stops($end === 0 ? 1e-5 : -1e-5))->toBe([])->and($stops($end === 0 ? -0.01 : 0.01))->not->toBe([]);
                $compared++;
            }
        }
    }
    expect($compared)->toBeGreaterThan(5);
})->with([
    'turned about a point' => ["G68 X10. Y5. R30.\nG0 X60. Y-20.\nG2 X20. Y20. I-40. J0. F300.\nG69", []],
    'on rapids that bend' => ["G0 X60. Y-50.\nX-70. Y30. Z40.", ['machine' => ['control' => ['rapidPath' => 'independent']]]],
    'by way of the reference point and machine coordinates' => ["G0 X30. Y20.\nG91 G28 X0. Y0.\nG90 G53 X-300. Y-100.\nG0 X-20. Y-10.", []],
    'under two work offsets' => ["G0 X30. Y20.\nG55 X-10. Y15.\nZ30.\nG54 X0.", ['workOffsets' => ['G55' => ['X' => -300, 'Y' => -150, 'Z' => -10]]]],
    'with a rotary axis under way' => [
        "G0 X30. Y20. A90.\nG1 X-15. A180. F300.", ['machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360, 'rapid' => 3600]]]],
    ],
    'with tools of different length' => ["G0 Z50.\nT2 M6\nS2000 M3\nG0 X12. Y-8.\nG43 H2 Z10.\nZ25.", []],
]);

it('says how long each tool may be, and which line decides', function (): void {
    $text = Bench::sound("G0 X10.\nZ2.\nG1 Z-12. F200.\nG0 Z50.");
    $summary = CheckResult::of(Bench::verify($text))['summary'];
    // The tip is between −12 and 50, the travel between −460 and 0.
    expect($summary['tools'][0]['lengthFit'])->toEqual(['number' => 1, 'range' => [-448, -50]])
        ->and($summary['reach']->Z['lines'])->toEqual([8, 2]);
    foreach ([[-448.0, 0], [-448.01, 1], [-50.0, 0], [-49.99, 1]] as [$length, $overruns]) {
        expect(
            count(array_keys(array_column(Bench::verify($text, ['offsets' => ['H' => ['1' => $length]]])->findings, 'check'), 'travel.overrun', true)),
        )->toBe($overruns);
    }
});
