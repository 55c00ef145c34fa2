<?php

declare(strict_types=1);

use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\AskKind;
use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\OperationCatalogue;
use OakTrace\Core\Sheet\Planner;
use OakTrace\Core\Sheet\ProgramWriter;
use OakTrace\Core\Sheet\SheetError;
use Tests\Core\Sheet\SheetBench;

/** What nobody should type, and somebody will. */
const NONSENSE = [
    null, '', ' ', -1, 0, 1e300, -1e300, '1/0', '((2', '#nobody', '1e9', '12in', '--3', 'Ø', true, [], [1], ['a', 'b'], ['radius' => 1],
    ['diameter' => 5, 'radius' => 2],
    ['dx' => 'x', 'dy' => 1], [['x']], ['kind' => 'star'], ['wall' => -1], ['passes' => 1e9],
];

/** An answer that would do, as far as the kind of the question tells. */
function plausible(Ask $ask): mixed
{
    return match ($ask->kind) {
        AskKind::Length => mt_rand(1, 60) / mt_rand(1, 6),
        AskKind::Angle => mt_rand(-90, 360),
        AskKind::Share => mt_rand(0, 90) / 100,
        AskKind::Seconds, AskKind::Count => mt_rand(1, 7),
        AskKind::Flag => mt_rand(0, 1) === 1,
        AskKind::Choice => $ask->choices[mt_rand(0, count($ask->choices) - 1)],
        AskKind::Point => [mt_rand(-50, 50), mt_rand(-40, 40)],
        AskKind::Points => [[mt_rand(-50, 50), 0], ['dx' => 12, 'dy' => 3]],
        AskKind::Numbers => [1],
        AskKind::Size => mt_rand(0, 1) === 1 ? mt_rand(5, 50) : ['radius' => mt_rand(4, 25), 'tolerance' => 0.05, 'aim' => 'low'],
        AskKind::Text => 'do (it) Ø',
        AskKind::Operation => 'o'.mt_rand(0, 3),
        AskKind::Operations => ['o'.mt_rand(0, 3)],
        AskKind::Group => array_filter(
            array_column(array_map(static fn (Ask $part): array => [$part->field, plausible($part)], $ask->parts), 1, 0),
            static fn (): bool => mt_rand(0, 2) > 0,
        ),
    };
}

/** @return array<string, mixed> */
function anyOperation(int $n): array
{
    $kinds = OperationCatalogue::all();
    $operation = $kinds[mt_rand(0, count($kinds) - 1)];
    $answers = ['id' => "o{$n}", 'kind' => $operation->kind(), 'tool' => mt_rand(1, 7)];
    foreach ($operation->asks() as $ask) {
        if (mt_rand(0, 3) > 0) {
            $answers[$ask->field] = mt_rand(0, 6) === 0 ? NONSENSE[mt_rand(0, count(NONSENSE) - 1)] : plausible($ask);
        }
    }

    return $answers;
}

/** @return list<array<string, mixed>> some operations, and those that make others again */
function anyOperations(): array
{
    $operations = array_map(anyOperation(...), range(0, mt_rand(0, 3)));
    $operations[] = ['kind' => 'again', 'of' => 'o'.mt_rand(0, 4), 'which' => ['all', 'rough', 'finish', 'none'][mt_rand(0, 3)]];
    $operations[] = ['kind' => 'repeat', 'operations' => ['o'.mt_rand(0, 4)]] + [
        ['rotate' => ['times' => mt_rand(0, 4)]], ['grid' => ['columns' => 2, 'pitch' => 30]], ['mirror' => ['across' => 'Y', 'at' => 3]],
        ['workOffsets' => 'G55'], ['rotate' => 'round'],
    ][mt_rand(0, 4)] + ['written' => ['out', 'as a subprogram', 'somehow'][mt_rand(0, 2)]];

    return $operations;
}

// Whatever is answered, the sheet says so at a field, or a program is written; the drawing is made either way.
it('never falls over an answer', function (int $seed): void {
    mt_srand($seed);
    for ($n = 0; $n < 25; $n++) {
        $operations = anyOperations();
        $changes = ['profile' => Profiles::names()[mt_rand(0, 2)], 'style' => ['three-axis', 'two-axis'][mt_rand(0, 1)], 'figures' => mt_rand(0, 1) === 1];
        try {
            $sheet = SheetBench::files()->read((string) json_encode(SheetBench::sheet($operations, $changes), JSON_PARTIAL_OUTPUT_ON_ERROR));
            $planner = Planner::of($sheet, Profiles::named($sheet->profile), true);
            expect(array_keys($planner->figures()))->not->toBe([]);
            expect(array_filter(array_keys($planner->problems()), static fn (string $field): bool => preg_match('/^(operations|tools)\b/', $field) !== 1))
                ->toBe([]);
            if ($planner->problems() === []) {
                expect(ProgramWriter::write($planner->plan())->lines)->not->toBe([]);
            }
        } catch (SheetError $error) {
            expect($error->fields)->not->toBe([]);
        } catch (Throwable $error) {
            $this->fail("{$error->getMessage()} at {$error->getFile()}:{$error->getLine()}\n".json_encode($operations));
        }
    }
})->with(range(1, 24));

it('asks nothing it does not read, and reads nothing it does not ask', function (Operation $operation): void {
    // An answer to every question is refused by none of them as unknown; one to no question is.
    $fields = array_map(static fn (Ask $ask): string => $ask->field, $operation->asks());
    $wrong = SheetBench::wrong([['id' => 'a', 'kind' => $operation->kind(), 'tool' => 1, 'whatever' => 1] + array_fill_keys($fields, '1/0')]);
    expect($wrong['operations.0.whatever'] ?? null)->toBe('This operation has no such field.');
    foreach ($fields as $field) {
        expect($wrong["operations.0.{$field}"] ?? '')->not->toBe('This operation has no such field.');
    }
})->with(OperationCatalogue::all(...));

it('says where a group within a group is wrong', function (): void {
    $answers = new Answers(['at' => ['size' => ['diameter' => '1/0']]], 'operations.3', OakTrace\Core\Quantities\Units::Millimetre, []);
    $at = $answers->group('at');
    $at->across('size');
    $answers->gather($at);
    expect($answers->problems())->toBe(['operations.3.at.size.diameter' => 'It divides by nothing.']);
});
