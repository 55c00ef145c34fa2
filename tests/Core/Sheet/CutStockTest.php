<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Sheet\Blank;
use OakTrace\Core\Sheet\CutStock;
use Tests\Core\Sheet\SheetBench;

/** @return list<array{float, float}> what is open along X through the middle of the trial plate for a radius, from its left edge */
function openAfter(array $operations, float $radius, float $z, array $changes = []): array
{
    $plan = SheetBench::plan($operations, $changes);
    $stock = CutStock::of(new Blank(Box::of([-60.0, -50.0, -20.0], [60.0, 50.0, 0.0]))) ?? throw new LogicException('No raw part.');
    array_map($stock->take(...), $plan->steps);

    return $stock->openings([-60.0, 0.0], [1.0, 0.0], 120.0, $radius, $z);
}

it('tells of no raw part it does not know', function (): void {
    $note = ['kind' => 'note', 'text' => 'CLEAN THE VISE'];
    expect(CutStock::of(new Blank))->toBeNull()
        ->and(openAfter([$note], 1.0, -0.5))->toBe([])->and(openAfter([$note], 1.0, 0.0))->toBe([[0.0, 120.0]]);
});

// By hand: half an opening is what was cut less the radius that goes there; a coarse field is sure of a little less.
it('opens what a tool has covered, and no more', function (array $operation, float $radius, float $z, float $half, array $changes = []): void {
    $open = openAfter([$operation], $radius, $z, $changes);
    if ($half === 0.0) {
        expect($open)->toBe([]);

        return;
    }
    expect($open)->toHaveCount(1);
    [[$into, $out]] = $open;
    foreach ([60 - $into, $out - 60] as $reach) {
        expect($reach)->toBeLessThanOrEqual($half)->toBeGreaterThan($half - 2.3); // three of its cells
    }
})->with(function (): array {
    $seat = ['kind' => 'round-pocket', 'tool' => 1, 'size' => 38, 'depth' => 6, 'step' => 6, 'compensation' => 'computed'];
    $hole = ['kind' => 'holes', 'tool' => 2, 'depth' => 19, 'at' => ['kind' => 'single', 'place' => [0, 0]]];
    $rounded = ['tools' => [
        [
            'number' => 1, 'name' => '12 mill', 'kind' => 'bull-mill', 'diameter' => 12, 'cornerRadius' => 2, 'centerCutting' => true, 'rpm' => 2600,
            'feed' => 420,
        ],
    ]];
    $drill = ['tools' => [['number' => 2, 'name' => '30 drill', 'kind' => 'drill', 'diameter' => 30, 'rpm' => 500, 'feed' => 60]]];

    return [
        'a seat of 38' => [$seat, 5.0, -6.0, 14.0],
        'below its floor' => [$seat, 5.0, -6.1, 0.0],
        'the corners of its mill stand' => [$seat, 5.0, -6.0, 12.0, $rounded],
        'a hole of 30, its point 9.013 long' => [$hole, 5.0, -9.9, 10.0, $drill],
        'where its point only went' => [$hole, 5.0, -10.0, 0.0, $drill],
    ];
});
