<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\Demo;

it('names a field of a setup that nothing reads, and what was meant', function (array $changes, array $told): void {
    expect(Bench::files()->unread((string) json_encode(Bench::file($changes))))->toBe($told);
})->with([
    'none' => [[], []],
    'a slip in a limit' => [
        ['tools' => [['number' => 1, 'maxAxialDept' => 2]]], ['tools.0.maxAxialDept: There is no such field, and nothing reads it. Is maxAxialDepth meant?'],
    ],
    'by its capitals' => [['nearlimit' => 2], ['nearlimit: There is no such field, and nothing reads it. Is nearLimit meant?']],
    'one that is not meant, since it is there' => [['stocks' => []], ['stocks: There is no such field, and nothing reads it.']],
    'of a step of a holder' => [
        ['tools' => [['number' => 1, 'holder' => ['diameter' => 20, 'lenght' => 3]]]],
        ['tools.0.holder.lenght: There is no such field, and nothing reads it. Is length meant?'],
    ],
    'of one of several steps' => [
        ['tools' => [['number' => 1, 'holder' => [['diameter' => 20], ['diameter' => 30, 'z' => 3]]]]],
        ['tools.0.holder.1.z: There is no such field, and nothing reads it.'],
    ],
    'of an axis' => [
        ['machine' => ['axes' => ['X' => ['accelerations' => 2]]]], ['machine.axes.X.accelerations: There is no such field, and nothing reads it.'],
    ],
    'more than anybody reads' => [
        array_fill_keys(array_map(static fn (int $n): string => "field{$n}", range(1, 13)), 1),
        [...array_map(static fn (int $n): string => "field{$n}: There is no such field, and nothing reads it.", range(1, 10)), 'Nothing reads 3 more.'],
    ],
    'remarks, and names of its own' => [
        ['_note' => 'x', '$schema' => 'y', 'workOffsets' => ['G55' => ['X' => 1]], 'subprograms' => ['O2000' => 'M99'], 'places' => ['G55' => 'Vice']], [],
    ],
]);

it('knows every field of the demo shop', function (string $program): void {
    expect(Bench::files()->unread(Demo::file($program)))->toBe([]);
})->with([...Demo::PROGRAMS, ...Demo::TURNED]);

it('lets no test change a field that nothing reads', function (): void {
    Bench::setup(['tool' => ['diameter' => 12]]);
})->throws(LogicException::class, 'tool: There is no such field');
