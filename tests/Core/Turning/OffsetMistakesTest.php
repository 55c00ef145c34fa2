<?php

declare(strict_types=1);

use OakTrace\Core\Formats\OffsetTable;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\Demo;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

/** @return array<string, array<string, mixed>> "offset 1 XØ 0" and so on => the row of the table */
function turnedMistakes(Verification $run): array
{
    $rows = OffsetTable::of($run);

    return array_combine(array_map(static fn (array $row): string => "{$row['offset']} {$row['axis']} {$row['what']}", $rows), $rows);
}

const ONE_CUT = "G21 G99 G40\nT0101\nG97 S500 M3\nG0 X38. Z3.\nG1 Z-30. F0.2\nG0 X46.\nG28 U0 W0\nM30";

/** T1 stands 20 in diameter and 50 along; one cut of 1 deep, 30 long. */
const SET = [
    'offsets' => ['T' => ['1' => ['X' => 20, 'Z' => 50], '2' => ['X' => 20.1, 'Z' => 60], '3' => ['X' => 12, 'Z' => 46]]],
    'tools' => [0 => ['maxAxialDepth' => 2.5]], 'workOffsets' => ['G54' => ['Z' => -15]],
];

it('says what a wrong entry of a lathe meets first', function (string $entry, string $meets, ?int $line, string $says): void {
    expect(turnedMistakes(Lathe::verify(ONE_CUT, array_replace_recursive(LatheCases::BAR, SET)))[$entry])
        ->toMatchArray(['meets' => $meets, 'line' => $line, 'text' => $says]);
})->with([
    // Ø38 comes out Ø28: 6 deep, and it may take 2.5.
    'a figure of X' => ['offset 1 XØ digit 1 one lower', 'too-deep', 5, 'Line 5: T1 cuts deeper than it may.'],
    'a little too far out' => ['offset 1 XØ offset 2 value', 'nothing', null, 'No crash: everything it moves runs Ø0.100 mm too large.'],
    // 5 less in Z: the rapid to 3 before the face ends 1 inside it.
    'a rapid that ends in the face' => ['offset 1 Z offset 3 value', 'stock', 4, 'Line 4: T1 rapids into the stock.'],
    'nothing typed' => ['offset 1 Z 0', 'stock', 4, 'Line 4: T1 rapids into the stock.'],
    'a point left out' => ['offset 1 Z ten times', 'limit', 4, 'Line 4: T1 overruns the Z+ limit.'],
    'short of the part' => ['offset 1 Z offset 2 value', 'nothing', null, 'No crash: everything it moves lies 10.000 mm off to Z plus.'],
    'a work offset' => ['G54 Z digit 1 one higher', 'stock', 4, 'Line 4: T1 rapids into the stock.'],
]);

it('asks the geometry of the station where the offset number carries wear alone', function (): void {
    $text = str_replace('T0101', 'T0102', ONE_CUT);
    $carries = ['machine' => ['control' => ['offsetCarries' => 'wear-only']]];
    expect(turnedMistakes(Lathe::verify($text, array_replace_recursive(LatheCases::BAR, SET, $carries))))
        ->toHaveKey('offset 1 Z 0')->not->toHaveKey('offset 2 Z 0');
});

it('leaves out the digits that lead into nothing', function (): void {
    $rows = turnedMistakes(Lathe::verify(ONE_CUT, array_replace_recursive(LatheCases::BAR, SET)));
    expect($rows)->not->toHaveKey('offset 1 XØ digit 3 one higher')->toHaveKey('offset 1 XØ digit 1 one lower');
});

it('looks at the travel alone without the stock, and says so', function (): void {
    $rows = turnedMistakes(Lathe::verify(ONE_CUT, array_replace_recursive(LatheCases::BAR, ['stock' => null] + SET)));
    expect($rows['offset 1 Z offset 3 value']['text'])->toBe('Stays within the travel; without the stock nothing else was looked at.');
});

it('agrees with reading the program again with the wrong entry, wherever that passes a limit', function (string $program): void {
    $text = Program::fromText(Demo::text($program));
    $compared = 0;
    foreach (turnedMistakes(Verification::of($text, Demo::setup($program))) as $row) {
        if ($row['meets'] !== 'limit' || ! str_starts_with((string) $row['offset'], 'offset ')) {
            continue;
        }
        $file = json_decode(Demo::file($program), true);
        $file['offsets']['T'][substr((string) $row['offset'], 7)][$row['axis'][0]] = $row['wrong'];
        $again = Verification::of($text, Bench::files()->read((string) json_encode($file)));
        $past = array_filter($again->findings, static fn (Finding $finding): bool => in_array($finding->check, ['travel.overrun', 'travel.does-not-fit'], true)
            && $finding->figures['axis'] === $row['axis'][0]);
        expect(array_map(static fn (Finding $finding): int => $again->trace->sources->mainLine($finding->line), $past))->toContain($row['line']);
        $compared++;
    }
    expect($compared)->toBeGreaterThan(5);
})->with(['2110', '2140']);

it('tries the centre of a part between chuck and tailstock', function (): void {
    $rows = turnedMistakes(Verification::of(Program::fromText(Demo::text('2140')), Demo::setup('2140')));
    expect($rows['offset 6 XØ digit 3 one higher'])->toMatchArray(['meets' => 'obstacle', 'name' => 'the tailstock', 'line' => 14])
        ->and($rows['G54 Z digit 1 one higher'])->toMatchArray(['meets' => 'obstacle', 'name' => 'the chuck', 'line' => 12]);
});
