<?php

declare(strict_types=1);

use OakTrace\Core\Formats\StateWords;
use Tests\Core\DrivenTools;
use Tests\Core\Lathe;

/** Radius and Z of the rows of a line, with the feed, mm/min, and 0 for a rapid. */
function strokesOf(string $text, int $line): array
{
    $rows = array_filter(Lathe::moves($text, DrivenTools::lathe()), static fn (array $row): bool => $row['line'] === $line);

    return array_values(array_map(static fn (array $row): array => [$row['to'][0], $row['to'][2], $row['kind'] === 'feed' ? $row['feed'] : 0.0], $rows));
}

it('makes holes in the face beside the axis, and in the side along X with pecks and R on the radius', function (): void {
    expect(strokesOf(DrivenTools::FACE_HOLES, 8))->toEqual([
        [15.0, 5.0, 0.0], [15.0, 2.0, 0.0], [15.0, -4.0, 150.0], [15.0, 2.0, 0.0], [15.0, -3.5, 0.0], [15.0, -10.0, 150.0], [15.0, 5.0, 0.0],
    ])->and(strokesOf(DrivenTools::SIDE_HOLES, 7))->toEqual([
        [21.0, -20.0, 0.0], [18.0, -20.0, 150.0], [21.0, -20.0, 0.0], [18.5, -20.0, 0.0], [15.0, -20.0, 150.0], [22.0, -20.0, 0.0],
    ])->and(strokesOf(DrivenTools::SIDE_THREAD, 7))->toEqual([[22.0, -20.0, 0.0], [15.0, -20.0, 500.0], [22.0, -20.0, 500.0], [23.0, -20.0, 0.0]]);
});

it('finds nothing wrong with them, whether or not it knows how the tools point', function (string $text, ?string $points): void {
    expect(array_column(Lathe::verify($text, DrivenTools::lathe($points))->findings, 'check'))->toBe([]);
})->with([
    [DrivenTools::FACE_HOLES, null], [DrivenTools::FACE_HOLES, 'along'], [DrivenTools::SIDE_HOLES, null], [DrivenTools::SIDE_HOLES, 'across'],
    [DrivenTools::SIDE_THREAD, null], [DrivenTools::SIDE_THREAD, 'across'],
]);

it('writes them out as the same motion, with the codes of the spindles and the C axis', function (string $text, int $starts = 1): void {
    $changes = DrivenTools::lathe();
    $written = Lathe::expand($text, $changes);
    expect(array_column(Lathe::moves($written, $changes), 'to'))->toEqual(array_column(Lathe::moves($text, $changes), 'to'))
        ->and(array_filter(Lathe::verify($written, $changes)->findings, static fn ($finding): bool => $finding->severity->value === 'stop'))->toBe([])
        ->and(array_map(static fn (string $code): int => substr_count($written, $code), ['M133', 'M135', 'M43', 'M44']))->toBe([$starts, 1, 1, 1]);
})->with([
    'in the face' => [DrivenTools::FACE_HOLES], 'in the side' => [DrivenTools::SIDE_HOLES],
    'a thread, out of which it turns back' => [DrivenTools::SIDE_THREAD, 2],
    'after turning, and before it' => [
        "G21 G99\nT0101\nG97 S800 M3\nG0 X39. Z2.\nG1 Z-5. F0.1\nG28 U0 W0\nM5\n"
            .substr(DrivenTools::FACE_HOLES, 8, -4)."\nT0101\nG97 S900 M3\nG0 X38. Z2.\nG1 Z-5.\n"
            ."G28 U0 W0\nM30",
    ],
]);

it('says which spindle turns', function (): void {
    $verification = Lathe::verify(DrivenTools::FACE_HOLES, $changes = DrivenTools::lathe());
    $words = array_map(
        static fn ($state): array => array_column((new StateWords(Lathe::setup($changes)))->words($state), 1, 0), $verification->trace->states,
    );
    $spindles = array_column($words, 'Spindle');
    expect($spindles)->toContain('driven tool 3000 rev/min clockwise')->toContain('stopped')
        ->and(array_unique(array_column($words, 'C axis')))->toBe(['on: the spindle holds the part'])->and($words[0])->not->toHaveKey('C axis');
});

it('takes the speed of a driven tool for none of the chuck', function (): void {
    [$fast, $tooFast] = [str_replace('S3000', 'S5900', DrivenTools::FACE_HOLES), str_replace('S3000', 'S6100', DrivenTools::FACE_HOLES)];
    expect(array_column(Lathe::verify($fast, DrivenTools::lathe())->findings, 'check'))->toBe([])
        ->and(array_column(Lathe::verify($tooFast, DrivenTools::lathe())->findings, 'check'))->toBe(['state.speed-over']);
});

it('holds a driven tool and its holder against the part', function (string $check, int $line, string $lines, string $points, array $tool = []): void {
    $found = Lathe::found($check, "G21 G98\nT0909\nM43\nG97 S3000 M133\n{$lines}\nM135\nM44", DrivenTools::lathe($points, ['tools' => [7 => $tool]]));
    expect(array_column($found, 'line'))->toBe([$line]);
})->with([
    'a rapid down into the side' => ['turning.rapid-into-stock', 6, "G0 X60. Z-20.\nX39.8\nG0 X60.", 'across'],
    'down to an R inside the part' => ['turning.rapid-into-stock', 6, "G99 G0 X44. Z-20.\nG87 X20. R-3. Q3000 F0.05\nG80 G0 X60.", 'across'],
    'down to an R behind the face' => ['turning.rapid-into-stock', 6, "G99 G0 X20. Z5.\nG83 Z-12. R-6. Q3000 F0.05\nG80 G0 X60.", 'along'],
    'its edge, beside its tip' => ['turning.rapid-into-stock', 6, "G0 X39. Z6.\nZ4.5\nG0 X60.", 'across'],
    'on to the next hole inside the part' => ['turning.rapid-into-stock', 7, "G0 X44. Z-20.\nG1 X30. F100.\nG0 Z-30.\nX60.", 'across'],
    'back to where its hole is at another angle' => ['turning.rapid-into-stock', 8, "G0 X44. Z-20.\nG1 X34. F100.\nG0 X44. C90.\nX34.2\nX60.", 'across'],
    'deeper than its hole' => ['turning.rapid-into-stock', 8, "G0 X44. Z-20.\nG1 X34. F100.\nG0 X44.\nX33.\nX60.", 'across'],
    'its holder' => ['turning.holder', 6, "G0 X44. Z-20.\nG1 X10. F100.\nG0 X60.", 'across', ['stickout' => 12, 'holder' => ['diameter' => 20]]],
    'its holder in the face' => ['turning.holder', 6, "G0 X20. Z5.\nG1 Z-12. F100.\nG0 Z5.", 'along', ['stickout' => 12, 'holder' => ['diameter' => 20]]],
    'the jaws' => ['turning.zone', 5, "G0 X118. Z-52.\nX130.", 'across'],
]);

it('takes nothing out of the part at rapid', function (): void {
    $lines = "G21 G98\nT0909\nM43\nG97 S3000 M133\nG0 X60. Z-20.\nX30.\nX60.\nM135\nM44";
    expect(Lathe::verify(Lathe::whole($lines), DrivenTools::lathe('across'))->input->turned?->removed())->toBe(0.0);
});

it('counts the way of a driven tool through air, once it has cut', function (string $lines, int $told): void {
    $found = Lathe::found('turning.air', "G21 G98\nT0909\nM43\nG97 S3000 M133\n{$lines}\nG0 X60.\nM135\nM44", DrivenTools::lathe('across'));
    expect($found)->toHaveCount($told);
})->with([
    'beside the part' => ["G0 X44. Z-20.\nG1 X36. F100.\nG0 X60. Z-30.\nG1 X42. F30.", 1],
    'not for long' => ["G0 X44. Z-20.\nG1 X36. F100.\nG0 X60. Z-30.\nG1 X42. F300.", 0],
    'into the part' => ["G0 X44. Z-20.\nG1 X36. F100.\nG0 X60. Z-30.\nG1 X36. F30.", 0],
    'before it has cut' => ["G0 X60. Z-30.\nG1 X42. F30.", 0],
]);

it('lets it out of its hole, and pass beside the part', function (string $lines, string $points): void {
    $found = Lathe::verify("G21 G98\nT0909\nM43\nG97 S3000 M133\n{$lines}\nM135\nM44\nG28 U0 W0\nM30", DrivenTools::lathe($points))->findings;
    expect(array_filter($found, static fn ($finding): bool => $finding->severity->value === 'stop'))->toBe([]);
})->with([
    'out of the side' => ["G0 X44. Z-20.\nG1 X30. F100.\nG0 X60.", 'across'],
    'out of the face' => ["G0 X20. Z5.\nG1 Z-8. F100.\nG0 Z5.", 'along'],
    'back into its hole' => ["G0 X44. Z-20.\nG1 X34. F100.\nG0 X44.\nX34.2\nG1 X30.\nG0 X60.", 'across'],
    'back into its hole two turns on' => ["G0 X44. Z-20. C0.\nG1 X34. F100.\nG0 X44. C720.\nX34.2\nG1 X30.\nG0 X60.", 'across'],
    'before the face' => ["G0 X39. Z6.\nZ5.1\nG0 X60.", 'across'],
]);
