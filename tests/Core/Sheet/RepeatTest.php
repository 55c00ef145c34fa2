<?php

declare(strict_types=1);

use OakTrace\Core\Sheet\MoveKind;
use OakTrace\Core\Sheet\ProgramWriter;
use OakTrace\Core\Sheet\SheetSetup;
use Tests\Core\Sheet\SheetBench;

const SEAT = ['id' => 'seat', 'kind' => 'round-pocket', 'name' => 'Seat', 'tool' => 1, 'centre' => [-30, 20], 'size' => 24, 'depth' => 4, 'step' => 2];
const CORNER = [
    'id' => 'pocket', 'kind' => 'pocket', 'name' => 'Pocket', 'tool' => 1, 'centre' => [-30, 20], 'length' => 30, 'pocketWidth' => 20, 'corner' => 7,
    'turned' => 25, 'depth' => 4, 'step' => 2,
];

/** @param  list<array<string, mixed>>  $operations */
function cutBy(array $operations, array $changes = [], float $cell = 0.25): float
{
    [$run, $stock] = SheetBench::run(SheetBench::plan($operations, $changes), cell: $cell);
    expect(SheetBench::stops($run))->toBe([]);

    return $stock->removed();
}

it('takes the same out of each copy, written out or called', function (array $repeat, int $copies): void {
    $once = cutBy([CORNER]);
    $more = ['kind' => 'repeat', 'operations' => ['pocket']] + $repeat;
    $out = cutBy([CORNER, $more]);
    expect($out)->toEqualWithDelta($once * (1 + $copies), 0.01 * $out);
    if (! isset($repeat['mirror'])) {
        $called = ['written' => 'as a subprogram'] + $more;
        expect(cutBy([CORNER, $called]))->toEqualWithDelta($out, 0.01 * $out)
            ->and(substr_count(SheetBench::build([CORNER, $called])->text(), 'M98 P7001'))->toBe($copies)
            ->and(SheetBench::build([CORNER, $called])->text())->toContain("M30\nO7001 (REPEAT: POCKET)\n")->toEndWith("M99\n");
    }
})->with([
    'in a grid' => [['grid' => ['columns' => 2, 'pitch' => 60, 'rows' => 2, 'rowPitch' => -40]], 3],
    'turned' => [['rotate' => ['times' => 1]], 1],
    'left to right' => [['mirror' => []], 1],
    'front to back' => [['mirror' => ['across' => 'Y', 'at' => -2]], 1],
]);

// The first goes at rapid over a pocket no copy has.
it('feeds in a copy where the first went at rapid', function (array $repeat): void {
    $operations = [
        ['kind' => 'round-pocket', 'tool' => 1, 'size' => 38, 'depth' => 6, 'step' => 6, 'centre' => [0, 20]],
        ['kind' => 'slot', 'id' => 's', 'tool' => 3, 'from' => [-50, 20], 'to' => [50, 20], 'width' => 11.2, 'depth' => 3, 'step' => 3],
        ['kind' => 'repeat', 'operations' => ['s']] + $repeat,
    ];
    $plan = SheetBench::plan($operations);
    $rapids = array_map(
        static fn ($step): int => count(array_filter($step->moves, static fn ($move): bool => $move->kind === MoveKind::RapidInside)), $plan->steps,
    );
    expect($rapids[1])->toBeGreaterThan(0)->and($rapids[2])->toBe(0)->and(SheetBench::stops(SheetBench::run($plan)[0]))->toBe([]);
})->with([
    'shifted' => [['grid' => ['columns' => 1, 'rows' => 2, 'pitch' => 40, 'rowPitch' => -40]]],
    'mirrored' => [['mirror' => ['across' => 'Y', 'at' => 0]]],
    'as a subprogram' => [['grid' => ['columns' => 1, 'rows' => 2, 'pitch' => 40, 'rowPitch' => -40], 'written' => 'as a subprogram']],
]);

// In a mirror what climbed would cut conventionally: it goes the other way round instead.
it('climbs in a mirror too', function (): void {
    $sides = [];
    foreach ([[CORNER], [CORNER, ['kind' => 'repeat', 'operations' => ['pocket'], 'mirror' => ['at' => 0]]]] as $operations) {
        $steps = SheetBench::plan($operations)->steps;
        $kinds = array_map(static fn ($move) => $move->kind, end($steps)->moves);
        $sides[] = in_array(MoveKind::CutterLeft, $kinds, true) ? 'left' : (in_array(MoveKind::CutterRight, $kinds, true) ? 'right' : 'none');
    }
    expect($sides)->toBe(['left', 'left']);
    $mirrored = SheetBench::plan([['kind' => 'slot', 'id' => 's', 'tool' => 3, 'from' => [-40, 0], 'to' => [-10, 20], 'width' => 11, 'depth' => 2, 'step' => 2],
        ['kind' => 'repeat', 'operations' => ['s'], 'mirror' => ['across' => 'X', 'at' => 5]]])->steps[1]->moves;
    $xs = array_filter(array_map(static fn ($move): ?float => $move->x, $mirrored), is_float(...));
    expect(max($xs))->toBeGreaterThan(49.0)->and(min($xs))->toBeGreaterThan(19.0);
});

it('makes an operation at other work offsets than the sheet', function (): void {
    $plan = SheetBench::plan([SEAT, ['id' => 'more', 'kind' => 'repeat', 'operations' => ['seat'], 'workOffsets' => 'G55, G57']]);
    $made = array_map(static fn (array $one): string => "{$one[0]->step->id} {$one[1]}", $plan->order());
    expect($made)->toBe(['seat G54', 'more G55', 'more G57'])->and($plan->offsets())->toBe(['G54', 'G55', 'G57'])
        ->and($plan->steps[1]->moves)->toEqual($plan->steps[0]->moves);
});

it('has the holes of its copies, for operations after it', function (): void {
    $bore = ['id' => 'bore', 'kind' => 'holes', 'tool' => 2, 'depth' => 12, 'cycle' => 'drill', 'at' => ['kind' => 'single', 'place' => [-30, 20]]];
    $wide = ['kind' => 'round-pocket', 'tool' => 9, 'centre' => [30, 20], 'size' => 20, 'depth' => 4, 'step' => 4, 'entry' => 'hole'];
    $tools = ['tools' => [
        ...SheetBench::sheet([])['tools'], ['number' => 9, 'name' => '6 end mill', 'kind' => 'end-mill', 'diameter' => 6, 'rpm' => 3000, 'feed' => 300],
    ]];
    expect(SheetBench::wrong([$bore, $wide], $tools))->toBe(['operations.1.entry' => 'There is no hole wide enough here.'])
        ->and(SheetBench::wrong([$bore, ['kind' => 'repeat', 'operations' => ['bore'], 'grid' => ['columns' => 2, 'pitch' => 60]], $wide], $tools))->toBe([]);
});

it('comes down in a mirror as it did in solid, though the first has made a hole by then', function (): void {
    $steps = SheetBench::plan([SEAT, ['kind' => 'repeat', 'operations' => ['seat'], 'mirror' => ['at' => 0]]])->steps;
    $helices = static fn ($step): int => count(array_filter($step->moves, static fn ($move): bool => $move->i !== 0.0 && $move->z !== null));
    expect($helices($steps[0]))->toBeGreaterThan(1)->and($helices($steps[1]))->toBe($helices($steps[0]));
});

it('repeats nothing into solid that comes down in a hole or beside the part', function (array $operations, ?string $what): void {
    expect(SheetBench::wrong($operations)['operations.'.(count($operations) - 1).'.operations'] ?? null)->toBe($what);
})->with(function (): array {
    $bore = ['id' => 'bore', 'kind' => 'outline', 'centre' => [-30, 20], 'size' => 10, 'depth' => 8];
    $seat = ['size' => 24] + SEAT;
    $grid = ['kind' => 'repeat', 'grid' => ['columns' => 2, 'pitch' => 60]];
    $frame = ['id' => 'frame', 'kind' => 'frame', 'tool' => 1, 'length' => 110, 'width' => 90, 'depth' => 3, 'step' => 3];

    return [
        'a seat in a bore' => [
            [$bore, $seat, ['operations' => ['seat']] + $grid],
            '“Seat” comes down in a hole, and copy 1 has none. Repeat the hole before it.',
        ],
        'with its bore' => [[$bore, $seat, ['operations' => ['bore', 'seat']] + $grid], null],
        'at another offset' => [
            [$bore, $seat, ['kind' => 'repeat', 'operations' => ['seat'], 'workOffsets' => 'G56']],
            '“Seat” comes down in a hole, and copy 1 has none. Repeat the hole before it.',
        ],
        'at another offset, with its bore' => [[$bore, $seat, ['kind' => 'repeat', 'operations' => ['bore', 'seat'], 'workOffsets' => 'G56']], null],
        'a frame from beside, turned into the part' => [
            [$frame, ['kind' => 'repeat', 'operations' => ['frame'], 'grid' => ['columns' => 1, 'rows' => 2, 'rowPitch' => 40]]],
            '“Frame” comes down beside the raw part, and copy 1 would not.',
        ],
        'a frame, turned about its middle' => [[$frame, ['kind' => 'repeat', 'operations' => ['frame'], 'rotate' => ['times' => 1]]], null],
        'from solid' => [[$seat, ['operations' => ['seat']] + $grid], null],
    ];
});

it('makes an operation again: all, rough or finish, with another tool', function (): void {
    $small = ['kind' => 'again', 'of' => 'pocket', 'which' => 'finish', 'tool' => 3];
    $plan = SheetBench::plan([['finish' => ['passes' => 1]] + CORNER, $small]);
    expect($plan->steps[1]->tool->tool->number)->toBe(3)->and(count($plan->steps[1]->moves))->toBeLessThan(count($plan->steps[0]->moves) / 2)
        ->and(array_filter(ProgramWriter::write($plan)->lines, static fn (string $line): bool => str_contains($line, 'D3')))->not->toBe([]);
    $finishes = array_filter($plan->steps[1]->moves, static fn ($move): bool => $move->kind === MoveKind::CutterLeft);
    expect($finishes)->toHaveCount(1);
    $rough = SheetBench::plan([CORNER, ['kind' => 'again', 'of' => 'pocket', 'which' => 'rough']])->steps[1]->moves;
    expect(array_filter($rough, static fn ($move): bool => $move->kind === MoveKind::CutterLeft))->toBe([]);
    $all = SheetBench::plan([CORNER, ['kind' => 'again', 'of' => 'pocket']])->steps;
    expect($all[1]->moves)->toEqual($all[0]->moves);
    // What is made again takes nothing more out.
    expect(cutBy([CORNER, ['kind' => 'again', 'of' => 'pocket']]))->toEqualWithDelta(cutBy([CORNER]), 1.0);
});

it('writes out what no tool makes, whatever is asked', function (): void {
    $note = [['id' => 'n', 'kind' => 'note', 'text' => 'mind it'],
        ['kind' => 'repeat', 'operations' => ['n'], 'grid' => ['columns' => 3, 'pitch' => 9], 'written' => 'as a subprogram']];
    expect(SheetBench::build($note)->text())->not->toContain('M98')->and(substr_count(SheetBench::build($note)->text(), '(MIND IT)'))->toBe(3);
});

it('says what cannot be made again', function (array $operation, string $field, string $what): void {
    expect(SheetBench::wrong([SEAT, $operation])[$field] ?? 'nothing')->toBe($what);
})->with([
    'nothing named' => [['kind' => 'again'], 'operations.1.of', 'Which operation?'],
    'one that is not there' => [['kind' => 'again', 'of' => 'x'], 'operations.1.of', 'There is no operation “x” before this one.'],
    'with no such tool' => [['kind' => 'again', 'of' => 'seat', 'tool' => 77], 'operations.1.tool', 'There is no T77.'],
    'a share nobody knows' => [['kind' => 'again', 'of' => 'seat', 'which' => 'half'], 'operations.1.which', 'This is one of: all, rough, finish.'],
    'no way to repeat' => [
        ['kind' => 'repeat', 'operations' => ['seat']], 'operations.1.rotate',
        'Say how it is repeated: turned, in a grid, mirrored, or at other work offsets.',
    ],
    'two ways' => [
        ['kind' => 'repeat', 'operations' => ['seat'], 'mirror' => ['at' => 0], 'rotate' => ['times' => 2]], 'operations.1.rotate',
        'Say how it is repeated: turned, in a grid, mirrored, or at other work offsets.',
    ],
    'an offset that is none' => [
        ['kind' => 'repeat', 'operations' => ['seat'], 'workOffsets' => 'G53'], 'operations.1.workOffsets', 'Give work offsets such as G55 G56.',
    ],
    'a mirror that is called' => [
        ['kind' => 'repeat', 'operations' => ['seat'], 'mirror' => ['at' => 0], 'written' => 'as a subprogram'], 'operations.1.written',
        'Copies that are mirrored or at other work offsets are written out.',
    ],
]);

it('gives the setup a raw part at every work offset something is made at', function (): void {
    $plan = SheetBench::plan([SEAT, ['kind' => 'repeat', 'operations' => ['seat'], 'workOffsets' => 'G55 G57']]);
    $setup = SheetSetup::of($plan);
    expect($setup['stock']['workOffset'])->toBe('G54')->and(array_column($setup['moreStock'], 'workOffset'))->toBe(['G55', 'G57'])
        ->and($setup['moreStock'][0]['min'])->toBe([-60, -50, -20])->and(SheetSetup::of(SheetBench::plan([SEAT])))->not->toHaveKey('moreStock');
});

it('calls the same subprogram at each vice, and turns it about a point that is not zero', function (): void {
    $turned = ['kind' => 'repeat', 'operations' => ['seat'], 'rotate' => ['about' => [-30, 0], 'by' => 90, 'times' => 2], 'written' => 'as a subprogram'];
    $lines = SheetBench::build([SEAT, $turned], ['workOffsets' => ['G54', 'G55']])->lines;
    expect(array_values(preg_grep('/^G68/', $lines)))->toBe(['G68 X-30. Y0. R90.', 'G68 X-30. Y0. R180.', 'G68 X-30. Y0. R90.', 'G68 X-30. Y0. R180.'])
        ->and(count(preg_grep('/^M98 P7001$/', $lines)))->toBe(4)->and(count(preg_grep('/^O700/', $lines)))->toBe(1)
        ->and(count(preg_grep('/^G69$/', $lines)))->toBe(4);
    // Each call begins above its own copy, clear of the part.
    $first = array_search('G68 X-30. Y0. R90.', $lines, true);
    expect($lines[$first - 1])->toBe('G0 X-50. Y0.');
});
