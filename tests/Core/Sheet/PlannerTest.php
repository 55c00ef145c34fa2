<?php

declare(strict_types=1);

use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Sheet\OperationCatalogue;
use OakTrace\Core\Sheet\Planner;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Sheet\SheetBench;

function planner(array $operations, array $changes = []): Planner
{
    $sheet = SheetBench::files()->read((string) json_encode(SheetBench::sheet($operations, $changes)));

    return Planner::of($sheet, Profiles::named($sheet->profile), true);
}

/** @return array<string, string> what was decided, in words */
function decided(Planner $planner, string $id): array
{
    $wording = new Wording(Units::Millimetre);
    $said = [];
    foreach ($planner->choices()[$id] as $choice) {
        $said[$choice->field] = $wording->sentence($choice->text, $choice->figures);
    }

    return $said;
}

it('answers about cutting as the last time with the same tool, and says where that was', function (): void {
    $planner = planner([
        ['id' => 'a', 'kind' => 'round-pocket', 'name' => 'Seat', 'tool' => 1, 'size' => 30, 'depth' => 6, 'step' => 2.5, 'leave' => ['wall' => 0.3]],
        ['id' => 'b', 'kind' => 'pocket', 'tool' => 1, 'centre' => [30, 20], 'length' => 40, 'pocketWidth' => 30, 'corner' => 8, 'depth' => 5],
        ['id' => 'c', 'kind' => 'round-pocket', 'tool' => 3, 'centre' => [-35, 20], 'size' => 30, 'depth' => 6],
        ['id' => 'd', 'kind' => 'round-pocket', 'tool' => 1, 'centre' => [-35, -20], 'size' => 30, 'depth' => 6, 'step' => 3],
        ['id' => 'e', 'kind' => 'frame', 'tool' => 1, 'length' => 110, 'width' => 90, 'depth' => 6],
    ]);
    expect($planner->problems())->toBe([])
        ->and(decided($planner, 'b'))->toMatchArray(['step' => 'as in 1 Seat: 2.5', 'leave' => 'as in 1 Seat'])
        ->and(decided($planner, 'c')['step'])->toContain('0.5 of the diameter in steel')
        ->and(decided($planner, 'd'))->not->toHaveKey('step')
        ->and(decided($planner, 'e')['step'])->toBe('as in 4 Round pocket: 3');
    $passes = array_map(static fn (array $figure): array => $figure['heights'], $planner->figures());
    expect($passes['b'])->toHaveCount(4)->and(end($passes['b']))->toEqual(-5.0); // 2 × 2.45 and the floor
});

it('never takes a size of the drawing from another operation', function (): void {
    $planner = planner([
        ['id' => 'a', 'kind' => 'slot', 'tool' => 3, 'from' => [-30, 0], 'to' => [30, 0], 'width' => 11, 'depth' => 3, 'step' => 3],
        ['id' => 'b', 'kind' => 'slot', 'tool' => 3, 'from' => [-30, 30], 'to' => [30, 30]],
    ]);
    expect($planner->problems())->toBe(['operations.1.width' => 'What is its size?', 'operations.1.depth' => 'How deep is it?']);
});

it('draws an operation before all of it is answered', function (): void {
    $planner = planner([
        ['id' => 'a', 'kind' => 'round-pocket', 'tool' => 1, 'centre' => [10, 5]],
        ['id' => 'b', 'kind' => 'round-pocket', 'tool' => 1, 'centre' => [10, 5], 'size' => ['diameter' => 22, 'tolerance' => [0, 0.03]]],
        ['id' => 'c', 'kind' => 'round-pocket', 'tool' => 1, 'centre' => [-20, 5], 'size' => ['radius' => 11], 'depth' => 6, 'step' => 2, 'off' => true],
    ]);
    $figures = $planner->figures();
    expect(array_column($figures['a']['lines'], 'role'))->toBe(['raw', 'tool'])->and($figures['a']['heights'])->toBeNull()
        ->and($figures['b']['labels'])->toBe([['field' => 'size', 'x' => 10.0, 'y' => 16.0075, 'text' => 'Ø 22 · R 11 +0.03/0, cut 22.015']])
        ->and($figures['c']['heights'])->toEqual([0, -1.96667, -3.93333, -5.9, -6])->and($figures['c']['raw'])->toEqual([-20, 0])
        ->and($figures['c']['bounds'])->toEqual([-60, -50, 60, 50])
        ->and(array_keys($planner->problems()))->toBe(['operations.0.size', 'operations.0.depth', 'operations.1.depth']);
});

it('numbers the holes on its drawing, and tells the circle both ways with its chord', function (): void {
    $figure = planner([[
        'id' => 'a', 'kind' => 'holes', 'tool' => 2, 'depth' => 5,
        'at' => ['kind' => 'circle', 'size' => 60, 'holes' => 6, 'first' => 30, 'skip' => [2]],
    ]])->figures()['a'];
    expect(array_column($figure['labels'], 'text'))->toBe(['1', '3', '4', '5', '6', 'Ø 60 · R 30, chord 30, 1 left out'])
        ->and($figure['labels'][0])->toMatchArray(['x' => 25.98076, 'y' => 15.0, 'field' => 'at']);
});

it('draws a line of every kind of question that has one', function (array $operation, array $fields): void {
    $figure = planner([
        ['id' => 'first', 'kind' => 'pocket', 'tool' => 1, 'length' => 60, 'pocketWidth' => 36, 'corner' => 8, 'depth' => 6, 'step' => 3],
        ['id' => 'a'] + $operation,
    ])->figures()['a'];
    foreach ($fields as $field) {
        expect([...array_column($figure['lines'], 'field'), ...array_column($figure['labels'], 'field')])->toContain($field);
    }
    foreach ($figure['lines'] as ['d' => $d]) {
        expect($d)->toMatch('/^M-?[\d.]+ -?[\d.]+([LA][-\d. E]+)+Z?$/');
    }
})->with([
    'face' => [['kind' => 'face', 'tool' => 5, 'depth' => 1], ['corner', 'length', 'width']],
    'pocket' => [['kind' => 'pocket', 'tool' => 1, 'length' => 20, 'pocketWidth' => 50, 'corner' => 7], ['length', 'pocketWidth', 'corner']],
    'frame' => [['kind' => 'frame', 'tool' => 1, 'length' => 100, 'width' => 80, 'corner' => 5], ['length', 'width', 'corner']],
    'circle' => [['kind' => 'frame', 'tool' => 1, 'size' => ['radius' => 40]], ['size']],
    'polygon' => [['kind' => 'polygon', 'tool' => 1, 'sides' => 6, 'acrossCorners' => 60], ['sides', 'acrossCorners']],
    'slot' => [['kind' => 'slot', 'tool' => 3, 'from' => [-30, 10], 'to' => [20, -15], 'width' => 11.2], ['width', 'to']],
    'chamfer' => [['kind' => 'chamfer-edge', 'tool' => 7, 'of' => 'first'], ['of', 'width']],
    'spots' => [['kind' => 'dab-grid', 'tool' => 6, 'width' => 40, 'height' => 30], ['corner', 'width', 'height', 'overlap']],
    'bore' => [['kind' => 'outline', 'size' => 18], ['size']],
    'a line of holes' => [
        ['kind' => 'holes', 'tool' => 2, 'at' => ['kind' => 'line', 'from' => [0, 0], 'pitch' => 12, 'holes' => 3]], ['at', 'at.pitch'],
    ],
]);

it('tells what stands where nobody answers', function (): void {
    $usual = planner([
        ['id' => 'a', 'kind' => 'round-pocket', 'tool' => 1, 'size' => 30, 'depth' => 6],
        ['id' => 'b', 'kind' => 'holes', 'tool' => 2, 'through' => true, 'at' => ['kind' => 'circle', 'size' => 60, 'holes' => 6]],
    ])->usual();
    expect($usual['a'])->toMatchArray(['top' => '0', 'width' => '7.2', 'leave.wall' => '0.2', 'leave.floor' => '0.1', 'finish.passes' => '1', 'spring' => '0'])
        ->and($usual['b'])->toMatchArray(['breakThrough' => '0.5', 'at.first' => '0', 'at.inFullCircle' => '6']);
});

it('asks what stands beside a choice only where that is so, and names fields that are there', function (): void {
    foreach (OperationCatalogue::all() as $operation) {
        $lists = [$operation->asks(), ...array_map(static fn ($ask): array => $ask->parts, $operation->asks())];
        foreach ($lists as $asks) {
            foreach (array_filter($asks, static fn ($ask): bool => $ask->when !== null) as $ask) {
                $on = current(array_filter($asks, static fn ($other): bool => $other->field === $ask->when[0]));
                expect($on)->not->toBeFalse();
                expect(array_diff($ask->when[1], [...$on->choices, '']))->toBe([], "{$operation->kind()} {$ask->field}");
            }
        }
    }
});
