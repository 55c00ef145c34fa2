<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;
use Tests\Core\Bench;
use Tests\Core\SoundMaker;
use Tests\Core\SoundPrograms;
use Tests\Core\Twins;

/** @return list<string> what is found, each once */
function foundIn(string $text, array $changes): array
{
    $names = array_values(
        array_unique(array_map(fn (Finding $finding): string => $finding->check.' '.$finding->severity->value, Bench::verify($text, $changes)->findings)),
    );
    sort($names);

    return $names;
}

dataset('one-offset programs', function (): iterable {
    foreach (SoundPrograms::all() as $name => [$text, $changes]) {
        if (Twins::canBe($text) && ($changes['units'] ?? 'mm') === 'mm') {
            yield $name => [$text, $changes];
        }
    }
    $maker = new SoundMaker(17);
    for ($i = 0; $i < 12; $i++) {
        yield "made {$i}" => [$maker->next(), SoundMaker::SETUP];
    }
});

it('finds at two and at three work offsets what it finds at one', function (string $text, array $changes): void {
    $single = foundIn($text, $changes);
    foreach ([['G55'], ['G55', 'G56']] as $offsets) {
        $setup = Twins::setup($changes, $offsets);
        expect(foundIn(Twins::byPart($text, $offsets), $setup))->toBe($single, Twins::byPart($text, $offsets));
        expect(foundIn(Twins::byTool($text, $offsets), $setup))->toBe($single, Twins::byTool($text, $offsets));
    }
})->with('one-offset programs');

it('finds a slip at any one of three offsets, on its line, and no other stop', function (string $offset): void {
    $maker = new SoundMaker(23);
    $setup = Twins::setup(SoundMaker::SETUP, ['G55', 'G56']);
    $planted = 0;
    for ($i = 0; $i < 25; $i++) {
        $text = Twins::byPart($maker->next(), ['G55', 'G56']);
        $from = (int) strpos($text, $offset);
        if (preg_match('/^(?:G1|G98 G8\d(?: Q4\.)?) Z-((?:[3-9]|\d\d)\.\d*)/m', $text, $depth, PREG_OFFSET_CAPTURE, $from) !== 1) {
            continue;
        }
        [$figure, $at] = $depth[1];
        $slipped = substr_replace($text, rtrim(sprintf('%.3F', 10 * (float) $figure), '0'), $at, strlen($figure));
        $line = 1 + substr_count($text, "\n", 0, $at);
        $stops = array_values(array_filter(Bench::verify($slipped, $setup)->findings, fn (Finding $finding): bool => $finding->severity === Severity::Stop));
        expect(
            array_map(fn (Finding $finding): string => "{$finding->line} {$finding->check}", $stops),
        )->toHaveCount(1, "{$figure} on line {$line} of program {$i}:\n{$slipped}")
            ->and($stops[0]->check)->toBeIn(['heights.decimal-slip', 'heights.below-stock'])
            ->and($stops[0]->line)->toBeGreaterThanOrEqual($line)->toBeLessThanOrEqual($line + 3);
        $planted++;
    }
    expect($planted)->toBeGreaterThan(5);
})->with(['G54', 'G55', 'G56']);
