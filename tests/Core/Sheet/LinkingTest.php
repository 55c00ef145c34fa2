<?php

declare(strict_types=1);

use OakTrace\Core\Sheet\Linking\Relinked;
use OakTrace\Core\Sheet\Linking\Standing;
use OakTrace\Core\Sheet\Linking\Written;
use Tests\Core\Sheet\SheetBench;

/** @return list<array<string, mixed>> three operations, some answers of the second and third changed */
function linkedOperations(array $seat = [], array $holes = []): array
{
    return [
        ['id' => 'face', 'kind' => 'face', 'name' => 'Face', 'tool' => 5, 'depth' => 1, 'step' => 1],
        $seat + ['id' => 'seat', 'kind' => 'round-pocket', 'name' => 'Seat', 'tool' => 1, 'size' => 22, 'depth' => 6, 'step' => 3],
        $holes + ['id' => 'holes', 'kind' => 'holes', 'name' => 'Holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'single', 'place' => [40, 0]]],
    ];
}

function linkedBy(array $operations): Written
{
    return Written::by(SheetBench::build($operations));
}

/** @return array<string, string> standing of each section that is not as the sheet writes it */
function standings(Relinked $linked): array
{
    $standings = array_column($linked->sections, 'standing', 'key');

    return array_map(
        static fn (Standing $standing): string => $standing->value, array_filter($standings, static fn (Standing $one): bool => $one !== Standing::Written),
    );
}

it('takes a program apart into its operations and puts it together again', function (): void {
    $built = SheetBench::build(linkedOperations());
    $written = Written::by($built);
    expect(array_column($written->toArray(), 'key'))->toBe(['head', 'face G54 1', 'seat G54 1', 'holes G54 1', 'end'])
        ->and(Written::kept($written->toArray()))->toEqual($written)
        ->and(implode("\n", array_merge(...array_column($written->toArray(), 'lines')))."\n")->toBe($built->text())
        ->and(Relinked::of(null, 'whatever stood there', $written)->text)->toBe($built->text())
        ->and(Relinked::of($written, $built->text(), $written)->text)->toBe($built->text());
});

it('rewrites only the lines of the operation that was changed', function (): void {
    $was = linkedBy(linkedOperations());
    $text = SheetBench::build(linkedOperations())->text();
    $linked = Relinked::of($was, $text, linkedBy(linkedOperations(seat: ['size' => 26])));
    [$before, $after] = [explode("\n", $text), explode("\n", $linked->text)];
    $ranges = array_column($linked->sections, 'lines', 'key');
    expect(standings($linked))->toBe([])->and($after)->not->toBe($before);
    foreach (['head', 'face G54 1', 'holes G54 1', 'end'] as $key) {
        $lines = array_slice($after, $ranges[$key][0] - 1, $ranges[$key][1] - $ranges[$key][0] + 1);
        expect($lines)->toBe($was->section($key)->lines);
    }
});

it('keeps what hands have changed, whatever the sheet changes elsewhere', function (): void {
    $was = linkedBy(linkedOperations());
    $byHand = str_replace('G99 G81 X40. Y0. Z-5.', 'G99 G81 X40. Y0. Z-5.2', SheetBench::build(linkedOperations())->text());
    $linked = Relinked::of($was, $byHand, linkedBy(linkedOperations(seat: ['depth' => 7])));
    expect($linked->text)->toContain('X40. Y0. Z-5.2', 'Z-7.')->and(standings($linked))->toBe(['holes G54 1' => 'by-hand']);
});

it('asks who is right where hands and the sheet have changed the same operation', function (): void {
    $was = linkedBy(linkedOperations());
    $byHand = str_replace('G99 G81 X40. Y0. Z-5.', 'G99 G81 X40. Y0. Z-5.2', SheetBench::build(linkedOperations())->text());
    $now = linkedBy(linkedOperations(holes: ['depth' => 8]));
    $kept = Relinked::of($was, $byHand, $now);
    expect($kept->text)->toContain('Z-5.2')->and(standings($kept))->toBe(['holes G54 1' => 'both'])
        ->and(implode(' ', array_column($kept->sections, 'theirs', 'key')['holes G54 1']))->toContain('Z-8.');
    // Once told, and left as it is, it is by hand; once chosen, the sheet's.
    expect(standings(Relinked::of($now, $kept->text, $now)))->toBe(['holes G54 1' => 'by-hand'])
        ->and(Relinked::of($was, $byHand, $now, ['holes G54 1'])->text)->toBe(SheetBench::build(linkedOperations(holes: ['depth' => 8]))->text());
});

it('leaves what hands made of an operation that is gone, until it is taken out', function (): void {
    $was = linkedBy(linkedOperations());
    $byHand = str_replace('N20 (SEAT)', "N20 (SEAT)\n(MIND THE CLAMP)", SheetBench::build(linkedOperations())->text());
    $without = array_values(array_filter(linkedOperations(), static fn (array $one): bool => $one['id'] !== 'seat'));
    $linked = Relinked::of($was, $byHand, linkedBy($without));
    expect($linked->text)->toContain('(MIND THE CLAMP)')->and(standings($linked))->toBe(['seat G54 1' => 'left'])
        ->and(array_search('seat G54 1', array_column($linked->sections, 'key'), true))->toBe(2)
        ->and(Relinked::of($was, $byHand, linkedBy($without), ['seat G54 1'])->text)->toBe(SheetBench::build($without)->text());
});

it('numbers lines anew that hands have changed, where an operation comes before them', function (): void {
    $was = linkedBy(linkedOperations());
    $byHand = str_replace('G99 G81 X40. Y0. Z-5.', 'G99 G81 X40. Y0. Z-5.2', SheetBench::build(linkedOperations())->text());
    $more = [['id' => 'note', 'kind' => 'note', 'name' => 'Note', 'text' => 'first of all'], ...linkedOperations()];
    $linked = Relinked::of($was, $byHand, linkedBy($more));
    expect($linked->text)->toContain('N40 (HOLES)', 'Z-5.2')->not->toContain('N30 (HOLES)')
        ->and(substr_count($linked->text, 'N40 '))->toBe(1)->and(standings($linked))->toBe(['holes G54 1' => 'by-hand']);
});

it('finds its operations in a text with lines put in and taken out', function (): void {
    $was = linkedBy(linkedOperations());
    $text = SheetBench::build(linkedOperations())->text();
    $lines = explode("\n", $text);
    $at = array_search('N20 (SEAT)', $lines, true);
    array_splice($lines, $at + 2, 3, ['(TWO', '(THREE', '(FOUR', '(FIVE']);
    $found = $was->found(implode("\n", $lines));
    expect(array_map(static fn ($section): string => $section->key, $found))->toBe(['head', 'face G54 1', 'seat G54 1', 'holes G54 1', 'end'])
        ->and($found[2]->lines)->toContain('(TWO', '(FIVE')->and($found[3]->lines)->toBe($was->section('holes G54 1')->lines)
        ->and(implode("\n", array_merge(...array_map(static fn ($section): array => $section->lines, $found)))."\n")->toBe(implode("\n", $lines));
});

// What each operation says is all it needs: hands that change one cannot spoil the next.
it('says in each operation every word it needs', function (): void {
    foreach (SheetBench::build(linkedOperations())->operations as ['lines' => [$from, $to]]) {
        $lines = array_slice(SheetBench::build(linkedOperations())->lines, $from - 1, $to - $from + 1);
        $cuts = array_values(preg_grep('/^(G1 |G99 G81)/', $lines));
        expect($cuts[0])->toContain('F')->and(implode(' ', $lines))->toMatch('/G0 X\S+ Y\S+/');
    }
});
