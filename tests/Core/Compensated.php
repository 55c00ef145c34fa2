<?php

declare(strict_types=1);

namespace Tests\Core;

use OakTrace\Core\Wording\Finding;

/** Programs under cutter compensation, and the path that comes of them. */
final class Compensated
{
    /** Plane => its letters, and which of X, Y and Z they are. */
    public const PLANES = [
        'G17' => [['X', 'Y', 'I', 'J'], [0, 1]],
        'G18' => [['Z', 'X', 'K', 'I'], [2, 0]],
        'G19' => [['Y', 'Z', 'J', 'K'], [1, 2]],
    ];

    /**
     * @param  array<string, mixed>  $control
     * @return array<string, mixed> changes of the setup
     */
    public static function setup(float $diameter, array $control = []): array
    {
        return ['offsets' => ['D' => ['1' => $diameter]], 'machine' => array_filter(['control' => $control]) + Bench::AT_ZERO['machine']] + Bench::AT_ZERO;
    }

    /**
     * The compensated path of a program as lines and arcs of its plane, lead-in and lead-out left away.
     *
     * @param  array<string, mixed>  $changes
     * @return list<array<string, mixed>>
     */
    public static function path(string $program, string $plane, array $changes): array
    {
        [, [$first, $second]] = self::PLANES[$plane];
        $pick = static fn (array $p): array => [$p[$first], $p[$second]];
        $run = Bench::verify($program, $changes);
        expect(array_filter($run->findings, static fn (Finding $finding): bool => str_starts_with($finding->check, 'compensation.')))->toBe([]);
        $rows = array_values(array_filter(Bench::rowsOf($run), static fn (array $row): bool => $row['compensated'] ?? false));

        return array_map(static fn (array $row): array => ['a' => $pick($row['from']), 'b' => $pick($row['to'])]
            + (
                isset($row['sweep']) ? ['centre' => $pick($row['center']), 'sweep' => deg2rad($row['clockwise'] ? -$row['sweep'] : $row['sweep'])] : []
            ), array_slice($rows, 1, -1));
    }
}
