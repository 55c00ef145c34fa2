<?php

declare(strict_types=1);

use OakTrace\Core\Formats\OffsetTable;
use OakTrace\Core\Language\Program;
use OakTrace\Core\OffsetMistakes\Mistake;
use OakTrace\Core\Setup\Offset;
use OakTrace\Core\Setup\Tooling;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\Demo;

/** @return array<string, array<string, mixed>> "H1 Z 0" and so on => the row of the table */
function mistakes(string $text, array $changes = []): array
{
    $rows = OffsetTable::of(Bench::verify($text, $changes));

    return array_combine(array_map(fn (array $row): string => "{$row['offset']} {$row['axis']} {$row['what']}", $rows), $rows);
}

const DRILLED = "G0 X10. Y0.\nZ2.\nG1 Z-5. F100.\nG0 Z2.\nZ-4.\nG0 Z25.";

it('says what a wrong length meets first, on which line and from what height', function (): void {
    $rows = mistakes(Bench::sound(DRILLED));
    // H1 is −250, the drill of the table −230 and the mill −240; the rapid back into its own hole is nothing met.
    expect($rows['H1 Z H2 value'])->toMatchArray(['meets' => 'nothing', 'text' => 'No crash: everything it moves runs 20.000 mm too high.'])
        ->and($rows['H1 Z 0'])->toMatchArray(['meets' => 'limit', 'name' => 'Z+', 'line' => 5, 'height' => 250.0])
        ->and($rows['H1 Z ten times'])->toMatchArray(['meets' => 'limit', 'name' => 'Z−', 'line' => 5]);
});

it('says so where a tool comes down into the stock at rapid, or cuts through it', function (float $neighbour, string $meets, int $line, float $height): void {
    $row = mistakes(Bench::sound(DRILLED), ['offsets' => ['H' => ['2' => $neighbour]]])['H1 Z H2 value'];
    expect($row)->toMatchArray(['meets' => $meets, 'line' => $line, 'height' => $height]);
})->with([
    'the approach ends in the stock' => [-276.0, 'stock', 5, 250.0],
    'the rapid to 2 above does' => [-253.0, 'stock', 7, 22.0],
    'deeper, and nothing met yet' => [-251.5, 'nothing', 0, 0.0],
]);

it('finds the shift of a work offset: the limit, the obstacle, or nothing', function (): void {
    $jaw = ['obstacles' => [['name' => 'jaw', 'shape' => 'box', 'min' => [-80, 40, -30], 'max' => [80, 60, 5], 'workOffset' => 'G54']]];
    $rows = mistakes(
        Bench::sound("G0 X10. Y0.\nZ2.\nG1 Z-1. F100.\nG0 Z25."),
        $jaw + ['workOffsets' => ['G54' => ['X' => -400, 'Y' => -200, 'Z' => 0], 'G55' => ['X' => -395, 'Y' => -150, 'Z' => 0]]],
    );
    expect($rows['G54 X G55 value']['text'])->toBe('No crash: everything it moves lies 5.000 mm off to X plus.')
        ->and($rows['G54 Y G55 value'])->toMatchArray(['meets' => 'obstacle', 'name' => 'jaw', 'line' => 7])
        ->and($rows['G54 X opposite sign'])->toMatchArray(['meets' => 'limit', 'name' => 'X+', 'line' => 3])
        ->and(array_keys($rows))->not->toContain('G54 Z 0');
});

it('agrees with reading the program again with the wrong offset, wherever that passes a limit', function (string $program): void {
    $setup = Demo::setup($program);
    $text = Program::fromText(Demo::text($program));
    $compared = 0;
    foreach (OffsetTable::of(Verification::of($text, $setup)) as $row) {
        if ($row['meets'] !== 'limit') {
            continue;
        }
        $unit = $setup->units->millimetres();
        $lengths = $setup->tooling->lengthOffsets;
        $works = $setup->workOffsets;
        if ($row['offset'][0] === 'H') {
            $lengths[(int) substr($row['offset'], 1)] = new Offset($row['wrong'] * $unit);
        } else {
            $works[$row['offset']][$row['axis']] = $row['wrong'] * $unit;
        }
        $again = Verification::of(
            $text,
            $setup->emptied()->with(
                $works, tooling: new Tooling($setup->tooling->tools, $lengths, $setup->tooling->diameterOffsets, $setup->tooling->lengthMethod),
            ),
        );
        $lines = array_map(
            fn (Finding $finding): int => $again->trace->sources->mainLine($finding->line),
            array_filter(
                $again->findings,
                fn (Finding $finding): bool => in_array(
                    $finding->check, ['travel.overrun', 'travel.does-not-fit'], true,
                ) && $finding->figures['axis'] === $row['axis'],
            ),
        );
        expect($lines)->toContain($row['line']);
        $compared++;
    }
    expect($compared)->toBeGreaterThan(5);
})->with(['1305', '1210', '1608', '1711']);

it('offers each usual mistake once', function (float $right, array $others, array $what): void {
    expect(array_map(fn (Mistake $mistake): string => $mistake->what, Mistake::of('H1', 'Z', $right, $others)))->toBe($what);
})->with([
    'an entry of its own' => [-250.0, ['H2' => -230.0], ['0', 'opposite sign', 'ten times', 'a tenth', 'H2 value']],
    'nothing there' => [0.0, ['H2' => -230.0], ['H2 value']],
    'nothing anywhere' => [0.0, ['H2' => 0.0], []],
    'a neighbour that is a tenth of it' => [-250.0, ['H2' => -25.0], ['0', 'opposite sign', 'ten times', 'a tenth']],
    'no neighbour' => [-250.0, [], ['0', 'opposite sign', 'ten times', 'a tenth']],
]);

it('turns about where the length is taken off', function (): void {
    // G44 takes H1 off: a shorter entry leaves the tool higher.
    $text = str_replace('G43 H1', 'G44 H1', Bench::sound(DRILLED));
    $rows = mistakes($text, ['offsets' => ['H' => ['1' => 250, '2' => 240]]]);
    expect($rows['H1 Z H2 value']['text'])->toBe('No crash: everything it moves runs 10.000 mm too high.')
        ->and($rows['H1 Z 0'])->toMatchArray(['meets' => 'limit', 'name' => 'Z+', 'line' => 5]);
});

it('leaves out what is met with every offset right', function (): void {
    // The rapid through the stock is a finding of its own, whatever the offsets.
    $rows = mistakes(Bench::sound("G0 X70. Y0.\nZ-5.\nX0.\nZ25."), ['offsets' => ['H' => ['2' => -249.0]]]);
    expect($rows['H1 Z H2 value']['meets'])->toBe('nothing');
});

it('looks at the other vice, and at every figure of an entry', function (): void {
    $two = [
        'workOffsets' => ['G55' => ['X' => -250, 'Y' => -200, 'Z' => 0]],
        'moreStock' => [['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0], 'workOffset' => 'G55']],
    ];
    $rows = mistakes(Bench::sound(DRILLED."\nG55 X0. Y0.\nG0 Z2.\nG1 Z-5. F100.\nG0 Z25."), $two + ['offsets' => ['H' => ['2' => -276]]]);
    // With X of G54 a hundred to plus what it carries would lie in the other vice's piece; a length 10 or more too long leads into both.
    expect($rows['H1 Z H2 value'])->toMatchArray(['meets' => 'stock', 'line' => 5])
        ->and($rows['H1 Z digit 2 one higher'])->toMatchArray(['meets' => 'stock', 'wrong' => -260.0])
        ->and($rows['G55 Z opposite sign'] ?? null)->toBeNull()
        ->and(array_keys($rows))->toContain('G54 X G55 value', 'G55 X G54 value');
});

it('tries every figure one up and one down', function (): void {
    expect(
        array_map(fn (Mistake $mistake): float => $mistake->wrong, Mistake::figures('H1', 'Z', -109.5)),
    )->toEqualWithDelta([-209.5, -9.5, -119.5, -108.5, -109.6, -109.4], 1e-9);
});
