<?php

declare(strict_types=1);

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ModalGroup;
use OakTrace\Core\Cycles\Cycle;
use OakTrace\Core\Cycles\CycleCatalogue;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;

/**
 * What happens at a hole, row by row: kind and Z, or what the event says.
 *
 * @return list<string>
 */
function strokes(string $block, string $setUp = "S500 M3\nF100.\nG0 Z10.\n"): array
{
    $rows = array_slice(Bench::rows($setUp.$block, Bench::AT_ZERO), 2);

    return array_map(fn (array $row): string => match ($row['kind']) {
        'dwell' => sprintf('dwell %g', $row['seconds']),
        'spindle' => 'spindle '.$row['turn'],
        'stop' => 'stop',
        default => sprintf('%s X%g Z%g', $row['kind'], $row['to'][0], $row['to'][2]),
    }, $rows);
}

// The canned cycles of NISTIR 6556 and of RS-274 controls beside it, stroke by stroke, with R1 and the bottom at Z-4.
it('makes the strokes of a cycle', function (string $block, array $strokes): void {
    expect(strokes($block))->toBe(['rapid X5 Z10', 'rapid X5 Z1', ...$strokes]);
})->with([
    'drilling' => ['G98 G81 X5. Z-4. R1.', ['feed X5 Z-4', 'rapid X5 Z10']],
    'drilling with a dwell of no time at all' => ['G98 G82 X5. Z-4. R1. P-.5', ['feed X5 Z-4', 'rapid X5 Z10']],
    'drilling, back to R' => ['G99 G81 X5. Z-4. R1.', ['feed X5 Z-4', 'rapid X5 Z1']],
    'drilling with a dwell' => ['G98 G82 X5. Z-4. R1. P.5', ['feed X5 Z-4', 'dwell 0.5', 'rapid X5 Z10']],
    'pecking' => [
        'G98 G83 X5. Z-4. R1. Q2.',
        ['feed X5 Z-1', 'rapid X5 Z1', 'rapid X5 Z-0.5', 'feed X5 Z-3', 'rapid X5 Z1', 'rapid X5 Z-2.5', 'feed X5 Z-4', 'rapid X5 Z10'],
    ],
    'breaking chips' => ['G98 G73 X5. Z-4. R1. Q2.', ['feed X5 Z-1', 'rapid X5 Z-0.75', 'feed X5 Z-3', 'rapid X5 Z-2.75', 'feed X5 Z-4', 'rapid X5 Z10']],
    'tapping' => ['G98 G84 X5. Z-4. R1.', ['feed X5 Z-4', 'spindle counter-clockwise', 'feed X5 Z1', 'spindle clockwise', 'rapid X5 Z10']],
    'tapping with a dwell' => ['G99 G84 X5. Z-4. R1. P.2', ['feed X5 Z-4', 'dwell 0.2', 'spindle counter-clockwise', 'feed X5 Z1', 'spindle clockwise']],
    'boring' => ['G98 G85 X5. Z-4. R1.', ['feed X5 Z-4', 'feed X5 Z1', 'rapid X5 Z10']],
    'boring, spindle stopped' => [
        'G98 G86 X5. Z-4. R1. P.3', ['feed X5 Z-4', 'dwell 0.3', 'spindle stopped', 'rapid X5 Z1', 'spindle clockwise', 'rapid X5 Z10'],
    ],
    'boring, out by hand' => ['G99 G88 X5. Z-4. R1. P.3', ['feed X5 Z-4', 'dwell 0.3', 'spindle stopped', 'stop', 'rapid X5 Z1', 'spindle clockwise']],
    'boring with a dwell' => ['G99 G89 X5. Z-4. R1. P.3', ['feed X5 Z-4', 'dwell 0.3', 'feed X5 Z1']],
    'fine boring' => ['G98 G76 X5. Z-4. R1. Q.2', ['feed X5 Z-4', 'spindle stopped', 'rapid X5.2 Z-4', 'rapid X5.2 Z10', 'rapid X5 Z10', 'spindle clockwise']],
    'fine boring, back to R' => [
        'G99 G76 X5. Z-4. R1. Q.2', ['feed X5 Z-4', 'spindle stopped', 'rapid X5.2 Z-4', 'rapid X5.2 Z1', 'rapid X5 Z1', 'spindle clockwise'],
    ],
    'fine boring, stepping off in X and Y' => [
        'G98 G76 X5. Z-4. R1. I-.3 J.1', ['feed X5 Z-4', 'spindle stopped', 'rapid X4.7 Z-4', 'rapid X4.7 Z10', 'rapid X5 Z10', 'spindle clockwise'],
    ],
]);

it('steps off a finished bore along one axis, or both', function (string $words, array $aside): void {
    $points = Bench::points("S500 M3\nF100.\nG0 Z10.\nG98 G76 X5. Y7. Z-4. R1. {$words}", Bench::AT_ZERO);
    expect(array_values(array_filter($points, static fn (array $point): bool => $point[0] === 'rapid' && $point[3] == -4.0)))
        ->toEqual([['rapid', ...$aside, -4]]);
})->with(['I' => ['I-.3', [4.7, 7]], 'J' => ['J.2', [5, 7.2]], 'I and J' => ['I.3 J-.2', [5.3, 6.8]], 'Q' => ['Q.4', [5.4, 7]]]);

it('leaves to a call what its words say while a cycle is on', function (string $lines, array $waits): void {
    $rows = Bench::rows("S500 M3\nF100.\nG0 Z10.\nG99 G82 X0. Z-4. R1. P.5\n{$lines}\nG80\nM30\nO7\nN50 X5.\nM99\nO8\nX9.\nM99 P60", Bench::AT_ZERO);
    $dwells = array_filter($rows, static fn (array $row): bool => $row['kind'] === 'dwell');
    expect(array_map(static fn (array $row): float => $row['seconds'], array_values($dwells)))->toEqual($waits);
})->with([
    'a call' => ['M98 P7', [0.5, 0.5]],
    'a call of several' => ["M98 P7 L3\nX7.", [0.5, 0.5, 0.5, 0.5, 0.5]],
    'a call with a place' => ['X3. M98 P7 L2', [0.5, 0.5, 0.5, 0.5]],
    'a return to a block' => ["M98 P8\nX1.\nN60 X7.", [0.5, 0.5, 0.5]],
    'an extended work offset' => ['G54.1 P2 X5.', [0.5, 0.5]],
    'its own' => ['X5. P.2', [0.5, 0.2]],
]);

it('never comes out of the hole beyond R between pecks, however shallow they are', function (string $block, array $levels): void {
    expect(array_map(static fn (array $point): float => $point[3], Bench::points("F100.\nG0 Z10.\n{$block}")))->toEqual([10, ...$levels]);
})->with([
    'pecks of less than the clearance' => ['G99 G83 Z-1. R1. Q.25', [1, .75, 1, .5, 1, .25, 1, .75, 0, 1, .5, -.25, 1, .25, -.5, 1, 0, -.75, 1, -.25, -1, 1]],
    'chips broken by less than the retract' => ['G99 G73 Z0. R1. Q.125', [1, .875, 1, .75, 1, .625, .875, .5, .75, .375, .625, .25, .5, .125, .375, 0, 1]],
]);

it('counts R and the bottom from where the tool stands, and from R, in incremental positions', function (): void {
    expect(Bench::points("F100.\nG0 Z10.\nG91 G99 G81 X5. Z-3. R-8. L2"))->toEqual(
        [
            ['rapid', 0, 0, 10], ['rapid', 5, 0, 10], ['rapid', 5, 0, 2], ['feed', 5, 0, -1], ['rapid', 5, 0, 2], ['rapid', 10, 0, 2],
            ['feed', 10, 0, -1], ['rapid', 10, 0, 2],
        ],
    );
});

it('waits in a cycle in the units of the control', function (): void {
    $waits = static fn (array $control): array => array_column(
        array_filter(
            Bench::rows(
                "G21 G54\nF100.\nG0 Z10.\nG82 X5. Z-1. R1. P500\nM30",
                ['machine' => ['control' => $control] + Bench::AT_ZERO['machine']] + Bench::AT_ZERO,
            ),
            static fn (array $row): bool => $row['kind'] === 'dwell',
        ),
        'seconds',
    );
    expect($waits(['dwellUnit' => 'milliseconds']))->toEqual([0.5])->and($waits(['dwellUnit' => 'seconds']))->toEqual([500]);
});

it('bores the far side of a wall from below', function (): void {
    expect(strokes('G87 X5. Z-6. R-12. Q2. P.1'))->toBe([
        'rapid X5 Z10', 'spindle stopped', 'rapid X7 Z10', 'rapid X7 Z-12', 'rapid X5 Z-12', 'spindle clockwise',
        'feed X5 Z-6', 'dwell 0.1', 'spindle stopped', 'rapid X7 Z-6', 'rapid X7 Z10', 'rapid X5 Z10', 'spindle clockwise',
    ]);
});

it('shrinks pecks where the profile does: first, less each time, never under the least', function (): void {
    $changes = ['machine' => ['control' => ['shrinkingPecks' => true]] + Bench::AT_ZERO['machine']] + Bench::AT_ZERO;
    $feeds = fn (string $block): array => array_column(
        array_filter(Bench::points("F100.\nG0 Z10.\n{$block}", $changes), fn (array $point): bool => $point[0] === 'feed'), 3,
    );
    expect($feeds('G98 G83 X5. Z-10. R0. I5. J2. K1.'))->toEqual([-5, -8, -9, -10])
        ->and($feeds('G98 G73 X5. Z-6. R0. I3. J1. K2.'))->toEqual([-3, -5, -6])
        ->and($feeds('G98 G83 X5. Z-6. R0. Q3.'))->toEqual([-3, -6])
        ->and($feeds('G20 G98 G83 X.2 Z-.4 R0. I.2 J.08 K.04'))->toEqualWithDelta([-5.08, -8.128, -9.144, -10.16], 1e-9);
});

it('cuts a round pocket from its centre', function (string $block, array $points, array $changes = []): void {
    $found = Bench::points("G17 F100.\nG0 X10. Y10. Z2.\n{$block}", array_replace_recursive(Bench::AT_ZERO, ['offsets' => ['D' => ['1' => 6]]], $changes));
    expect(array_slice($found, 1))->toEqualWithDelta($points, 1e-9);
})->with([
    'one circle' => ['G13 Z-1. I8. D1', [['feed', 10, 10, -1], ['feed', 15, 10, -1], ['arc', 15, 10, -1], ['feed', 10, 10, -1]]],
    'growing' => [
        'G12 I5. K9. Q2. D1',
        [['feed', 12, 10, 2], ['arc', 12, 10, 2], ['feed', 14, 10, 2], ['arc', 14, 10, 2], ['feed', 16, 10, 2], ['arc', 16, 10, 2], ['feed', 10, 10, 2]],
    ],
    'in levels' => [
        'G91 G13 Z-3. I8. L2 D1',
        [
            ['feed', 10, 10, -1], ['feed', 15, 10, -1], ['arc', 15, 10, -1], ['feed', 10, 10, -1], ['feed', 10, 10, -4], ['feed', 15, 10, -4],
            ['arc', 15, 10, -4], ['feed', 10, 10, -4],
        ],
    ],
    'a level and a half, of which one counts' => [
        'G91 G13 Z-3. I8. L1.5 D1', [['feed', 10, 10, -1], ['feed', 15, 10, -1], ['arc', 15, 10, -1], ['feed', 10, 10, -1]],
    ],
    'from the radius of its cutter on' => [
        'G12 I3. K9. Q3. D1', [['feed', 13, 10, 2], ['arc', 13, 10, 2], ['feed', 16, 10, 2], ['arc', 16, 10, 2], ['feed', 10, 10, 2]],
    ],
    'in inches' => [
        'G20 G12 I.2 K.36 Q.08',
        [
            ['feed', 15.08, 10, 2], ['arc', 15.08, 10, 2], ['feed', 17.112, 10, 2], ['arc', 17.112, 10, 2], ['feed', 19.144, 10, 2], ['arc', 19.144, 10, 2],
            ['feed', 10, 10, 2],
        ],
    ],
    'smaller than a millimetre' => ['G12 I.9', [['feed', 10.9, 10, 2], ['arc', 10.9, 10, 2], ['feed', 10, 10, 2]]],
    'under another code' => [
        'G113 I8. D1', [['feed', 15, 10, 2], ['arc', 15, 10, 2], ['feed', 10, 10, 2]], ['machine' => ['control' => ['profile' => 'wide-table-mill']]],
    ],
    'in another plane' => ['G18 G13 I8. D1', [['feed', 10, 10, 7], ['arc', 10, 10, 7], ['feed', 10, 10, 2]]],
]);

it('cuts with G13 the other way round from G12', function (): void {
    $turns = fn (string $code): bool => array_values(
        array_filter(Bench::moves("F100.\n{$code} I8.", Bench::AT_ZERO), fn (array $move): bool => $move['kind'] === 'arc'),
    )[0]['clockwise'];
    expect($turns('G12'))->toBeTrue()->and($turns('G13'))->toBeFalse();
});

it('taps left-handed with the spindle the other way', function (): void {
    expect(strokes('G99 G74 X5. Z-4. R1.', "S500 M4\nF100.\nG0 Z10.\n"))->toBe([
        'rapid X5 Z10', 'rapid X5 Z1', 'feed X5 Z-4', 'spindle clockwise', 'feed X5 Z1', 'spindle counter-clockwise',
    ]);
});

it('says itself whether it taps, and with which hand, and whether it pecks', function (): void {
    $of = static fn (callable $what): array => array_map(
        static fn (Code $code): string => $code->value,
        array_values(
            array_filter(
                Code::cases(),
                static fn (Code $code): bool => $code->group() === ModalGroup::Cycle && $code !== Code::CycleOff && $what(CycleCatalogue::for($code)),
            ),
        ),
    );
    expect($of(static fn (Cycle $cycle): bool => $cycle->thread() === 1))->toBe(['tap', 'tap-across'])->and(
        $of(static fn (Cycle $cycle): bool => $cycle->thread() === -1),
    )->toBe(['left-tap'])
        ->and($of(static fn (Cycle $cycle): bool => $cycle->pecks()))->toBe(['chip-break-drill', 'peck-drill', 'peck-drill-across'])
        ->and(CycleCatalogue::inForce(null))->toBeNull();
});

it('turns with the plane', function (string $plane, string $block, array $points): void {
    expect(Bench::points("F100.\nG0 X10. Y10. Z10.\n{$plane} {$block}"))->toEqual([['rapid', 10, 10, 10], ...$points]);
})->with([
    'ZX: down is Y' => ['G18', 'G99 G81 Z5. X4. Y-3. R2.', [['rapid', 4, 10, 5], ['rapid', 4, 2, 5], ['feed', 4, -3, 5], ['rapid', 4, 2, 5]]],
    'YZ: down is X' => ['G19', 'G98 G83 Y4. Z5. X-3. R2. Q5.', [['rapid', 10, 4, 5], ['rapid', 2, 4, 5], ['feed', -3, 4, 5], ['rapid', 10, 4, 5]]],
]);

it('repeats in place in absolute mode, and only stores with L0', function (): void {
    $bottoms = fn (string $block): int => count(array_filter(Bench::points("F100.\nG0 Z5.\n{$block}"), fn (array $point): bool => $point[0] === 'feed'));
    expect($bottoms('G81 X5. Z-1. R1. L3'))->toBe(3)->and($bottoms("G81 X5. Z-1. R1. L0\nX6.\nX7."))->toBe(2);
});

it('counts R and the depth of an increment in inches too, and names what a cycle lacks', function (): void {
    $program = "G20 G17 G40 G49 G80 G90 G94\nT1 M6\nG54 G0 X0. Y0. Z2.\nS3000 M3\nG91 G98 G81 X1. R-1.5 Z-.75 F4.\nG80 G90\nM30";
    $heights = array_map(static fn (array $move): float => round($move['to'][2] / 25.4, 4), Bench::moves($program, Bench::AT_ZERO));
    expect(array_slice($heights, -4))->toBe([2.0, 0.5, -0.25, 2.0]);
    $told = Bench::findings('reading.bad-word', Bench::verify(Bench::sound('G98 G83 X0. Y0. Z-5. F100.')));
    expect(array_map((new Wording(Units::Millimetre))->text(...), $told))->toBe(['The cycle has no R and Q, so it cuts nothing.']);
});
