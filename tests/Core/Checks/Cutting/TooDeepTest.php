<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Gaps;
use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

/** Passes across the plate at the depths given, each from X-60 to X60. */
function passes(string ...$depths): string
{
    return implode("\n", array_map(static fn (string $depth): string => "G0 X-60. Y0.\nZ2.\nG1 Z{$depth} F100.\nX60. F300.\nG0 Z2.", $depths))."\nG0 Z25.";
}

/** The same as passes() along a side of the plate, the middle of the tool 3 mm beside it. */
function passesBeside(string $from, string $to): string
{
    return str_replace(['X-60. Y0.', 'X60.'], [$from, $to], passes('-.5', '-1.', '-5.'));
}

CheckCases::raises('cutting.too-deep', [
    [passes('-.5', '-1.', '-5.'), [18, 19], 'stop', 'T1 takes 4.000 mm in one pass, where the passes before it took 0.500 mm.', 'Put Z-1.5 @ 18:5 3 “-1.5”'],
    [
        passes('-3.'), [8, 9], 'stop', 'T1 takes 3.000 mm in one pass; its limit is 2.000 mm.', null,
        ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'maxAxialDepth' => 2]]],
    ],
    [
        "G0 X-60. Y0.\nZ2.\nG1 Z-1. F100.\nX60. F300.\nG91 Z-1. F100.\nX-120. F300.\nZ-20. F100.\nX120. F300.\nG90", [12, 13], 'stop',
        'T1 takes 20.000 mm in one pass, where the passes before it took 1.000 mm.', 'Put Z-1. @ 12:2 4 “-1.”',
    ],
    ...array_map(static fn (array $side): array => [
        passesBeside(...$side), [18, 19], 'stop', 'T1 takes 4.000 mm in one pass, where the passes before it took 0.500 mm.', 'Put Z-1.5 @ 18:5 3 “-1.5”',
    ], [
        'along the left side' => ['X-53. Y-50.', 'Y50.'], 'along the right' => ['X53. Y-50.', 'Y50.'],
        'along the front' => ['X-60. Y-43.', 'X60.'], 'along the back' => ['X-60. Y43.', 'X60.'],
    ]),
    'a slot twice as deep as it is wide, in steel' => [
        passes('-20.'), 9, 'caution', 'T1 takes 20.000 mm in one pass at full width; 15.000 mm is the usual limit (common practice).', null,
        ['material' => 'steel'],
    ],
    'deeper than usual in brass too' => [
        passes('-21.'), 9, 'caution', 'T1 takes 21.000 mm in one pass at full width; 20.000 mm is the usual limit (common practice).', null,
        ['material' => 'brass'],
    ],
]);

CheckCases::staysQuiet('cutting.too-deep', [
    'as deep in brass' => [passes('-20.'), ['material' => 'brass']],
    'half as deep again in steel' => [passes('-15.'), ['material' => 'steel']],
    'a tool of which the setup says what it may take' => [
        passes('-20.'), ['material' => 'steel', 'tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'maxAxialDepth' => 20]]],
    ],
    ...array_map(static fn (array $side): array => [passesBeside(...$side)], [
        'past the left side' => ['X-56. Y-50.', 'Y50.'], 'past the right' => ['X56. Y-50.', 'Y50.'],
        'past the front' => ['X-60. Y-46.', 'X60.'], 'past the back' => ['X-60. Y46.', 'X60.'],
    ]),
    [passes('-2.', '-4.', '-6.', '-8.')],
    [passes('-.2', '-.4', '-.9')],
    [passes('-2.'), ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'maxAxialDepth' => 2]]]],
    // Somewhere else the ground is still whole, and nothing has been taken before.
    ["G0 X-60. Y0.\nZ2.\nG1 Z-.5 F100.\nX60. F300.\nZ-1. F100.\nX-60. F300.\nG0 Z2.\nX-60. Y30.\nG1 Z-5. F100.\nX60. F300.\nG0 Z25."],
    // A helix leads down to it, and takes what its turns take.
    ["G0 X5. Y0.\nZ1.\nG1 Z-1. F100.\nG3 I-5. F300.\nG1 Z-2. F100.\nG3 I-5. F300.\nG3 I-5. Z-5. F300.\nI-5.\nG1 X0."],
    // Four turns of a helix in one block go two and a half deep each.
    [
        "G0 X5. Y0.\nZ1.\nG1 Z0. F100.\nG3 X5. Y0. I-5. Z-10. P4 F300.\nI-5.\nG1 X0.",
        ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'maxAxialDepth' => 3]]],
    ],
    // A finishing cut along the whole wall takes little aside.
    ["G0 X-60. Y-44.5\nZ2.\nG1 Z-12. F300.\nX60.\nG0 Z25.", ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'maxAxialDepth' => 3]]]],
    // A short cut on ground that was faced is another kind of cut.
    [passes('-.5', '-1.')."\nG0 X0. Y0.\nZ2.\nG1 Z-5. F100.\nX20. F300.\nG0 Z25."],
    // The finishing cut goes where the steps have been.
    [passes('-2.', '-4.', '-6.', '-6.')],
]);

it('names beside the pass that is unusually deep none that is not', function (): void {
    $text = "X-60. Y0.\nZ2.\nG1 Z-1. F100.\nX60. F300.\nG0 Z2.\nX-60. Y25.\nG1 Z-20. F100.\nX60. F300.\nG0 Z25.";
    $findings = array_filter(
        Bench::verify(Bench::sound($text), ['material' => 'steel'])->findings,
        static fn (Finding $finding): bool => str_contains($finding->text, 'at full width'),
    );
    expect(
        array_map(static fn (Finding $finding): array => [$finding->check, $finding->line, $finding->alsoAt], array_values($findings)),
    )->toContain(['cutting.too-deep', 13, []]);
});

it('tells each tool that goes too deep', function (): void {
    $run = Bench::verify(
        Bench::sound("X-60. Y0.\nG1 Z-4. F300.\nX60.\nG0 Z50.\nT3 M6\nS3000 M3\nG54 G0 X-60. Y20.\nG43 H3 Z25.\nG1 Z-4. F300.\nX60.\nG0 Z25."),
        ['tools' => [['maxAxialDepth' => 2], 2 => ['maxAxialDepth' => 2]]],
    );
    $found = Bench::findings('cutting.too-deep', $run);
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->figures['tool']], $found))->toBe([[7, 1], [14, 3]]);
});

it('says where the cells of the stock are as coarse as a tool with a depth limit', function (float $diameter, ?float $limit, bool $told): void {
    $limits = $limit === null ? [] : ['maxAxialDepth' => $limit];
    $tools = ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => $diameter] + $limits]];
    $gaps = array_column(Gaps::of(Bench::verify(Bench::sound("Z2.\nG1 Z-.1 F100.\nX10."), $tools)->input), 'text');
    expect(in_array('The cells of the stock are as coarse as T1: in short moves the depth limit was not checked.', $gaps, true))->toBe($told);
})->with(['two cells wide' => [1.0, 0.2, true], 'wider' => [1.01, 0.2, false], 'with no limit' => [1.0, null, false]]);

it('tells a tool that is narrower than two cells where its moves are long enough', function (string $z, array $found): void {
    $tools = ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 0.8, 'maxAxialDepth' => 0.2]]];
    $run = Bench::verify(Bench::sound("Z2.\nG1 Z{$z} F100.\nX10.\nG0 Z25."), $tools);
    expect(array_map(static fn (Finding $finding): int => $finding->line, Bench::findings('cutting.too-deep', $run)))->toBe($found);
})->with(['too deep' => ['-.65', [7]], 'as deep as it may' => ['-.2', []]]);
