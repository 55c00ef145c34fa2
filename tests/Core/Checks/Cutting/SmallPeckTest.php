<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

$drill = static fn (float $diameter, string $kind = 'drill'): array => ['tools' => [['number' => 1, 'kind' => $kind, 'diameter' => $diameter]]];
$peck = static fn (string $q, string $cycle = 'G83', string $z = 'Z-10.'): string => "G98 {$cycle} X0. Y0. {$z} R2. Q{$q} F100.\nX20.\nG80";

CheckCases::raises('cutting.small-peck', [
    'a lost point' => [$peck('.3'), 6, 'note', 'T1 of Ø5.000 mm pecks 0.300 mm at a time: 40 strokes for one hole.', 'Put Q3. @ 6:28 2 “3.”', $drill(5)],
    'breaking the chips' => [
        $peck('.1', 'G73'), 6, 'note', 'T1 of Ø5.000 mm pecks 0.100 mm at a time: 120 strokes for one hole.', 'Put Q1. @ 6:28 2 “1.”', $drill(5),
    ],
    'deep in one of two holes' => [
        "G98 G83 X0. Y0. Z-1. R2. Q.3 F100.\nX20. Z-10.\nG80", 6, 'note', 'T1 of Ø5.000 mm pecks 0.300 mm at a time: 40 strokes for one hole.',
        'Put Q3. @ 6:27 2 “3.”', $drill(5),
    ],
    'four of them' => [$peck('.375', z: 'Z.6'), 6, 'note', 'T1 of Ø5.000 mm pecks 0.375 mm at a time: 4 strokes for one hole.',
        'Put Q3.75 @ 6:26 4 “3.75”', $drill(5)],
]);

CheckCases::staysQuiet('cutting.small-peck', [
    'as it should be' => [$peck('3.'), $drill(5)],
    'a little finer than usual' => [$peck('.376'), $drill(5)],
    'three strokes' => [$peck('.375', z: 'Z.9'), $drill(5)],
    'a fine drill' => [$peck('.1'), $drill(1.9)],
    'the strokes of a bolt circle' => ["G98 G81 X0. Y0. Z.1 R1. F100.\nX9. Z0.\nX18. Z-.1\nX27. Z-.2\nX36. Z-.3\nG80", $drill(5)],
    'no drill' => [$peck('.3'), $drill(5, 'end-mill')],
    'no diameter' => [$peck('.3'), ['tools' => [['number' => 1, 'kind' => 'drill']]]],
    'by hand-written moves' => ["Z2.\nG1 Z-.1 F100.\nZ-.2\nZ-.3\nZ-.4\nZ-.5\nG0 Z25.", $drill(5)],
]);

it('says what is usual', function () use ($peck, $drill): void {
    $found = Bench::findings('cutting.small-peck', Bench::verify(Bench::sound($peck('.3')), $drill(5)));
    expect(Bench::remedy($found[0]))->toBe('Is the decimal point of the peck right? Half a diameter to three is usual.');
});

it('counts a peck of a lathe in least increments where its depth is worked out', function (string $depth): void {
    $text = "G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z2.\n#1=20.\nG83 Z{$depth} Q5000 F0.1\nG80";
    expect(count(Lathe::cuts($text, [], 'feed')))->toBe(5);
})->with(['-20.', '-#1', '[0-#1]']);

it('tells it of a drill on a lathe', function (string $q, int $strokes): void {
    $found = Lathe::found('cutting.small-peck', "G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z2.\nG74 R1.\nG74 Z-20. {$q} F0.1", LatheCases::BAR);
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->figures['count'], $finding->edit], $found))
        ->toBe($strokes === 0 ? [] : [[6, $strokes, null]]);
})->with(['half a millimetre' => ['Q500', 44], 'five' => ['Q5000', 0]]);
