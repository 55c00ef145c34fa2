<?php

declare(strict_types=1);

namespace Tests\Core;

use OakTrace\Core\Formats\TraceLines;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Transform\Expand;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;

/** A lathe whose axes stand at the part's zero, and a way to run programs on it. */
final class Lathe
{
    /** @var array<string, mixed> */
    private const FILE = [
        'format' => 'oak-setup/1', 'units' => 'mm',
        'machine' => [
            'name' => 'Hazel', 'kind' => 'lathe',
            'axes' => [
                'X' => ['min' => -100, 'max' => 260, 'rapid' => 12000, 'xIs' => 'diameter'],
                'Z' => ['min' => -400, 'max' => 300, 'rapid' => 15000],
            ],
            'home' => ['X' => 260, 'Z' => 300], 'spindle' => ['maxRpm' => 20000], 'control' => ['profile' => 'iso-lathe-a'],
        ],
        'workOffsets' => ['G54' => ['X' => 0, 'Z' => 0]],
        'tools' => [
            ['number' => 1, 'name' => 'outside', 'kind' => 'turning', 'cornerRadius' => 0.4],
            ['number' => 2, 'name' => 'drill', 'kind' => 'drill', 'diameter' => 8],
        ],
        'offsets' => ['T' => ['1' => ['X' => 0, 'Z' => 0, 'R' => 0.4, 'tip' => 3], '2' => ['X' => 0, 'Z' => 0]]],
    ];

    /** @param  array<string, mixed>  $changes */
    public static function setup(array $changes = []): Setup
    {
        return Bench::read(Bench::merge(self::FILE, $changes));
    }

    /** @param  array<string, mixed>  $changes */
    public static function verify(string $text, array $changes = []): Verification
    {
        return Verification::of(Program::fromText($text), self::setup($changes));
    }

    /**
     * @param  array<string, mixed>  $changes
     * @return list<array<string, mixed>> rows that move, as in the trace file
     */
    public static function moves(string $text, array $changes = []): array
    {
        $setup = self::setup($changes);
        $rows = iterator_to_array(TraceLines::of(Verification::trace(Program::fromText($text), $setup), $setup), false);

        return array_values(array_filter($rows, static fn (array $row): bool => isset($row['to'])));
    }

    /**
     * Where each motion at feed leads, X in diameter: [X, Z].
     *
     * @param  array<string, mixed>  $changes
     * @return list<array{float, float}>
     */
    public static function cuts(string $text, array $changes = [], string ...$kinds): array
    {
        $cuts = array_filter(self::moves($text, $changes), static fn (array $row): bool => in_array($row['kind'], $kinds ?: ['feed', 'arc'], true));

        return array_values(array_map(static fn (array $row): array => [round(2 * $row['to'][0], 4) + 0.0, round($row['to'][2], 4) + 0.0], $cuts));
    }

    /** @param  array<string, mixed>  $changes */
    public static function expand(string $text, array $changes = []): string
    {
        $setup = self::setup($changes);

        return implode("\n", iterator_to_array(Expand::of(Verification::trace(Program::fromText($text), $setup), $setup), false));
    }

    /** What a program takes off a bar of 100 with 1 in front of its face, mm³: T1 a sharp square insert, T2 a drill of 8, T3 a blade of 3. */
    public static function taken(string $program, float $diameter): float
    {
        return self::verify("G21 G99\nG97 S1000 M3\n{$program}\nM30", [
            'stock' => ['shape' => 'cylinder', 'diameter' => $diameter, 'length' => 100, 'face' => 1],
            'tools' => [
                ['number' => 1, 'kind' => 'turning', 'cornerRadius' => 0, 'approachAngle' => 90, 'includedAngle' => 89],
                ['number' => 2, 'kind' => 'drill', 'diameter' => 8], ['number' => 3, 'kind' => 'grooving', 'width' => 3],
            ],
            'offsets' => ['T' => ['1' => ['R' => 0], '3' => ['X' => 0, 'Z' => 0, 'tip' => 3]]],
        ])->input->turned?->removed() ?? NAN;
    }

    /**
     * What a check finds in some lines that are followed by the way home and the end.
     *
     * @param  array<string, mixed>  $changes
     * @return list<Finding>
     */
    public static function found(string $check, string $lines, array $changes = []): array
    {
        return Bench::findings($check, self::verify(self::whole($lines), $changes));
    }

    /** Lines with the end of a program. */
    public static function whole(string $lines): string
    {
        return $lines."\nG28 U0 W0\nM30";
    }
}
