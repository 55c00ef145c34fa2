<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$with = static fn (int $tool, string $cycle): string => "G0 Z50.\nT{$tool} M6\nS500 M3\nG43 H2 G0 Z25.\nG98 {$cycle} F625.\nX10.\nG80";
$first = static fn (array $tool): array => ['tools' => [['number' => 1, 'diameter' => 8] + $tool]];

CheckCases::raises('cutting.tap-cycle', [
    'a tap in a drilling cycle' => [
        $with(4, 'G81 X0. Y0. Z-9. R5.'), 10, 'stop', 'T4 is a tap, and the drilling cycle pulls it out of its thread at rapid.', null,
    ],
    'a tap in pecks' => [
        $with(4, 'G83 X0. Y0. Z-9. R5. Q2.'), 10, 'stop', 'T4 is a tap, and the peck drilling cycle pulls it out of its thread at rapid.', null,
    ],
    'a drill in a tapping cycle' => [
        $with(2, 'G84 X0. Y0. Z-9. R5.'), 10, 'stop', 'T2 is no tap, and the tapping cycle feeds it by the pitch of a thread.', null,
    ],
    'a reamer in the one for left-hand threads' => [
        'G98 G74 X0. Y0. Z-9. R5. F625.', 6, 'stop', 'T1 is no tap, and the left-hand tapping cycle feeds it by the pitch of a thread.', null,
        $first(['kind' => 'reamer']),
    ],
    'a tap fed in by hand-written blocks, and out at rapid' => [
        "G0 Z50.\nT4 M6\nS500 M3\nG43 H2 G0 Z25.\nZ5.\nG1 Z-9. F625.\nM5\nG0 Z5.", 13, 'stop',
        'T4 is a tap 9.000 mm deep in its thread, and is pulled out at rapid.', null,
    ],
    'an end mill, as which a tool of no kind counts' => [
        'G98 G84 X0. Y0. Z-9. R5. F625.', 6, 'caution', 'T1 is no tap, and the tapping cycle feeds it by the pitch of a thread.', null, $first([]),
    ],
]);

CheckCases::staysQuiet('cutting.tap-cycle', [
    'a tap in its cycle' => [$with(4, 'G84 X0. Y0. Z-9. R5.')],
    'a tap in its cycle at one hole, lifted behind it' => [
        "G0 Z50.\nT4 M6\nS500 M3\nG43 H2 G0 Z25.\nG98 G84 X0. Y0. Z-9. R5. F625.\nG80\nG0 Z50.",
    ],
    'the same from its R level' => ["G0 Z50.\nT4 M6\nS500 M3\nG43 H2 G0 Z25.\nG99 G84 X0. Y0. Z-9. R5. F625.\nG80\nG0 Z50."],
    'a drill in its own' => [$with(2, 'G83 X0. Y0. Z-9. R5. Q2.')],
    'a tap in a head that turns it back, fed in and out' => [$with(4, 'G85 X0. Y0. Z-9. R5.')],
    'the same with a dwell' => [$with(4, 'G89 X0. Y0. Z-9. R5. P.5')],
    'a tool of no kind that has a pitch' => ['G98 G84 X0. Y0. Z-9. R5. F3750.', $first(['pitch' => 1.25])],
    'a tool that is not in the setup' => [$with(9, 'G84 X0. Y0. Z-9. R5.')],
    'a tap fed in and out by blocks of their own' => [
        "G0 Z50.\nT4 M6\nS500 M3\nG43 H2 G0 Z25.\nZ5.\nG1 Z-9. F625.\nM5\nM4\nG1 Z5.\nM3",
    ],
    'a drill so' => ["G0 Z50.\nT2 M6\nS500 M3\nG43 H2 G0 Z25.\nZ5.\nG1 Z-9. F60.\nG0 Z5."],
]);

it('tells each tool once, where it first goes in', function () use ($with): void {
    $run = Bench::verify(Bench::sound($with(4, 'G81 X0. Y0. Z-9. R5.')."\n".$with(2, 'G84 X0. Y0. Z-9. R5.')."\n".$with(4, 'G82 X0. Y20. Z-9. R5. P.5')));
    expect(array_map(
        static fn (Finding $finding): array => [$finding->line, $finding->figures['tool'], Bench::remedy($finding), $finding->field],
        Bench::findings('cutting.tap-cycle', $run),
    ))->toBe([
        [10, 4, 'Use the tapping cycle, G84. Is the right tool called?', null],
        [17, 2, 'Call the tap, or use a drilling cycle. If it is a tap, enter its kind and pitch in the setup.', 'tools.1.kind'],
    ]);
});
