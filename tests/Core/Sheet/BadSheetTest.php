<?php

declare(strict_types=1);

use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\OperationCatalogue;
use OakTrace\Core\Sheet\SheetError;
use Tests\Core\Sheet\SheetBench;

it('names what is wrong at its field, all of it at once', function (array $operation, array $says): void {
    $wrong = SheetBench::wrong([$operation]);
    foreach ($says as $field => $what) {
        expect($wrong)->toHaveKey("operations.0.{$field}")->and($wrong["operations.0.{$field}"])->toContain($what);
    }
    expect($wrong)->toHaveCount(count($says));
})->with([
    'nothing answered' => [['kind' => 'round-pocket', 'tool' => 1], ['size' => 'What is its size?', 'depth' => 'How deep is it?']],
    'diameter and radius' => [
        ['kind' => 'round-pocket', 'tool' => 1, 'size' => ['diameter' => 20, 'radius' => 10], 'depth' => 3], ['size' => 'the diameter or the radius, not both'],
    ],
    'nothing and less' => [
        ['kind' => 'pocket', 'tool' => 1, 'length' => 0, 'pocketWidth' => -5, 'corner' => 7, 'depth' => -1],
        ['length' => 'more than 0', 'pocketWidth' => 'more than 0', 'depth' => 'more than 0'],
    ],
    'a sharp inside corner' => [
        ['kind' => 'pocket', 'tool' => 1, 'length' => 30, 'pocketWidth' => 30, 'depth' => 3], ['corner' => 'No mill makes a sharp one.'],
    ],
    'a mill that is too wide' => [
        ['kind' => 'pocket', 'tool' => 1, 'length' => 30, 'pocketWidth' => 11, 'corner' => 5, 'depth' => 3],
        ['pocketWidth' => 'T1 is wider than the pocket.', 'corner' => 'T1 leaves a corner of 6.000 mm.'],
    ],
    'a first deeper than all' => [['kind' => 'face', 'tool' => 5, 'depth' => 1, 'first' => 2], ['first' => 'deeper than the whole']],
    'a hole that is not there' => [
        ['kind' => 'round-pocket', 'tool' => 1, 'size' => 40, 'depth' => 3, 'startRadius' => 9], ['startRadius' => 'There is no hole of Ø 18.000 mm here.'],
    ],
    'holes into each other' => [
        ['kind' => 'holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'line', 'from' => [0, 0], 'pitch' => 5, 'holes' => 3]],
        ['at' => 'Holes 1 and 2 run into each other.'],
    ],
    'a hole over the edge' => [
        ['kind' => 'holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'list', 'places' => [[0, 0], [56.72, 0]]]],
        ['at' => 'Hole 2 reaches 0.120 mm over the edge.'],
    ],
    'a diameter for a radius' => [
        ['kind' => 'holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'circle', 'size' => ['radius' => 80], 'holes' => 7, 'first' => 15]],
        ['at' => 'At half the distance all 7 are inside: a diameter for a radius?'],
    ],
    'more holes than a circle has' => [
        ['kind' => 'holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'circle', 'size' => 60, 'holes' => 7, 'inFullCircle' => 6]],
        ['at.holes' => 'A full circle has 6.'],
    ],
    'a hole left out that is not there' => [
        ['kind' => 'holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'circle', 'size' => 60, 'holes' => 6, 'skip' => [7]]],
        ['at.skip' => 'There is no hole 7: there are 6.'],
    ],
    'another drill' => [
        ['kind' => 'holes', 'tool' => 2, 'diameter' => 7, 'depth' => 5, 'at' => ['kind' => 'single', 'place' => [0, 0]]],
        ['diameter' => 'T2 has another diameter.'],
    ],
    'a tap that is none' => [
        ['kind' => 'holes', 'tool' => 2, 'cycle' => 'tap', 'depth' => 5, 'at' => ['kind' => 'single', 'place' => [0, 0]]], ['cycle' => 'T2 is no tap.'],
    ],
    'a mill as wide as the slot' => [
        ['kind' => 'slot', 'tool' => 3, 'from' => [0, 0], 'to' => [40, 0], 'width' => 9.5, 'depth' => 3], ['width' => 'T3 is as wide as the slot'],
    ],
    'pressed in too far' => [
        ['kind' => 'dab-grid', 'tool' => 6, 'width' => 40, 'height' => 40, 'pressDepth' => 3], ['pressDepth' => 'The spring gives 2.000 mm, no more.'],
    ],
    'a stick without a spring' => [['kind' => 'dab-grid', 'tool' => 1, 'width' => 40, 'height' => 40], ['pressDepth' => 'T1 has no spring']],
    'deviations turned round' => [
        ['kind' => 'round-pocket', 'tool' => 1, 'size' => ['diameter' => 30, 'tolerance' => [0.1, -0.1]], 'depth' => 3],
        ['size.tolerance' => 'above the upper one'],
    ],
    'a way down there is not' => [
        ['kind' => 'round-pocket', 'tool' => 1, 'size' => 30, 'depth' => 3, 'entry' => 'hole'], ['entry' => 'There is no hole wide enough here.'],
    ],
    'the edge of nothing' => [['kind' => 'chamfer-edge', 'tool' => 7, 'of' => 'a'], ['of' => 'There is no operation “a” before this one']],
    'nothing to measure' => [['kind' => 'measure', 'tool' => 1], ['what' => 'What is measured?', 'wanted' => 'What is it to measure?']],
    'through and a depth' => [['kind' => 'face', 'tool' => 5, 'through' => true, 'depth' => 3], ['depth' => 'It goes through: give no depth.']],
    'a field nobody knows' => [['kind' => 'face', 'tool' => 5, 'depth' => 1, 'deepness' => 3], ['deepness' => 'no such field']],
    'a name nobody gave' => [['kind' => 'face', 'tool' => 5, 'depth' => '#much'], ['depth' => 'There is no name “much” in this sheet.']],
    'no tool' => [['kind' => 'face', 'depth' => 1], ['tool' => 'With which tool?']],
    'a tool that is not here' => [['kind' => 'face', 'tool' => 9, 'depth' => 1], ['tool' => 'There is no T9.']],
    'an operation nobody knows' => [['kind' => 'knurl', 'tool' => 1], ['kind' => 'There is no operation of this kind.']],
    'a copy of nothing' => [
        ['kind' => 'repeat', 'operations' => ['a'], 'grid' => ['columns' => 2, 'pitch' => 30]], ['operations' => 'There is no operation “a” before this one.'],
    ],
]);

it('asks how deep a tool may go where neither it nor the material says', function (): void {
    expect(SheetBench::wrong([['kind' => 'round-pocket', 'tool' => 1, 'size' => 30, 'depth' => 3]], ['material' => '']))
        ->toBe(['operations.0.step' => 'How deep may T1 go at once?']);
});

it('names what is wrong with the header', function (array $changes, string $field, string $what): void {
    $operations = [['kind' => 'holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'single', 'place' => [0, 0]]]];
    expect(SheetBench::wrong($operations, $changes)[$field] ?? 'nothing')->toContain($what);
})->with([
    'crossed too low' => [['crossing' => 1], 'crossing', 'The stock stands 0.000 mm high: it is crossed no lower than 2.000 mm.'],
    'two tools of one number' => [
        ['tools' => [['number' => 2, 'name' => 'a', 'rpm' => 1, 'feed' => 1], ['number' => 2, 'name' => 'b']]], 'tools.1.number',
        'Two tools have the number 2.',
    ],
    'a circle of names' => [['names' => ['a' => '#b', 'b' => '#a']], 'names.a', 'worked out from itself'],
    'a tool that does not turn' => [
        ['tools' => [['number' => 2, 'name' => 'drill', 'kind' => 'drill', 'diameter' => 6.8, 'feed' => 100]]], 'tools.0.rpm', 'How fast does T2 turn?',
    ],
    'no operations' => [['operations' => []], 'operations', 'wrong number of entries'],
    'units nobody knows' => [['units' => 'feet'], 'units', 'Must be one of'],
    'the same offset twice' => [['workOffsets' => ['G54', 'G54']], 'workOffsets', ''],
]);

it('is not a sheet at all', function (string $text): void {
    expect(fn () => SheetBench::files()->read($text))->toThrow(SheetError::class);
})->with(['', 'G21 G0 X0.', '[]', '{"format": "oak-setup/1"}']);

it('asks each question once, under a name the schema’s header does not have', function (Operation $operation): void {
    $fields = array_map(static fn ($ask): string => $ask->field, $operation->asks());
    expect(array_unique($fields))->toBe($fields)->and(array_intersect($fields, ['id', 'kind', 'name', 'tool', 'off']))->toBe([])
        ->and(OperationCatalogue::named($operation->kind()))->toEqual($operation);
})->with(OperationCatalogue::all(...));

it('holds its tools and its stock against the schema of the setup', function (array $changes, string $field): void {
    $operations = [['kind' => 'holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'single', 'place' => [0, 0]]]];
    expect(SheetBench::wrong($operations, $changes))->toHaveKey($field);
})->with([
    'a tool of no kind' => [['tools' => [['number' => 2, 'kind' => 'chisel', 'rpm' => 1, 'feed' => 1]]], 'tools.0.kind'],
    'a tool without a number' => [['tools' => [['name' => 'drill']]], 'tools.0.number'],
    'a tool that does not turn at all' => [['tools' => [['number' => 2, 'rpm' => 0]]], 'tools.0.rpm'],
    'a stock of no shape' => [['stock' => ['min' => [0, 0, 0], 'max' => [1, 1, 1]]], 'stock.shape'],
]);
