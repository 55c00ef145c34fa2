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
    expect((array) $summary['reach']->X)->toEqual(['limit' => [-760, 0], 'used' => [-430, -370], 'spare' => [330, 370]])
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
        [$low, $high] = Bench::verify($text)->evidence->reach->fit('G54', 'Y') ?? [null, null];
        if ($low === null) {
            return;
        }
        foreach ([[$low + 0.001, false], [$high - 0.001, false], [$low - 0.01, true], [$high + 0.01, true]] as [$y, $over]) {
            $names = Bench::names(Bench::verify($text, ['workOffsets' => ['G54' => ['Y' => $y]]]));
            expect(in_array('travel.overrun', $names, true))->toBe($over);
        }
    });
});
