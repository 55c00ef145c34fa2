<?php

declare(strict_types=1);

namespace Tests\Core;

use LogicException;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\TraceLines;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Wording;

/** A machine, a setup and a way to run programs on them, for tests of the core. */
final class Bench
{
    /** A mill whose axes start at the part's zero, so that programs can be written in plain numbers. */
    public const AT_ZERO = ['workOffsets' => ['G54' => ['X' => 0, 'Y' => 0, 'Z' => 0]], 'machine' => ['axes' => [
        'X' => ['min' => -500, 'max' => 500, 'rapid' => 24000, 'acceleration' => 2500],
        'Y' => ['min' => -500, 'max' => 500, 'rapid' => 24000, 'acceleration' => 2500],
        'Z' => ['min' => -500, 'max' => 500, 'rapid' => 18000, 'acceleration' => 2000],
    ]]];

    /** The same with axes that are at their speed at once, so that a time is a length over a feed. */
    public const AT_ONCE = ['workOffsets' => self::AT_ZERO['workOffsets'], 'machine' => ['axes' => [
        'X' => ['acceleration' => null] + self::AT_ZERO['machine']['axes']['X'],
        'Y' => ['acceleration' => null] + self::AT_ZERO['machine']['axes']['Y'],
        'Z' => ['acceleration' => null] + self::AT_ZERO['machine']['axes']['Z'],
    ]]];

    /** Tools that turn one way only, the first of which wants coolant. */
    public const HANDED = ['tools' => [
        ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'hand' => 'right', 'coolant' => 'flood'],
        ['number' => 2, 'kind' => 'drill', 'diameter' => 8.5], ['number' => 3, 'kind' => 'end-mill', 'diameter' => 6, 'hand' => 'left'],
    ]];

    /** Edge of a cell of the stock, mm: fine enough for these tools, and quick. */
    private const CELL = 0.5;

    private static ?SetupFile $files = null;

    public static function files(): SetupFile
    {
        return self::$files ??= new SetupFile((string) file_get_contents(dirname(__DIR__, 2).'/schemas/oak-setup-1.json'));
    }

    /**
     * The shop's mill with a plate of 100 × 80 × 25 on it and four tools.
     *
     * @param  array<string, mixed>  $changes  merged into the file; null takes a field out
     * @return array<string, mixed>
     */
    public static function file(array $changes = []): array
    {
        $file = [
            'format' => 'oak-setup/1', 'units' => 'mm',
            'machine' => json_decode((string) file_get_contents(dirname(__DIR__, 2).'/database/demo/machines.json'), true)['Alder'],
            'workOffsets' => ['G54' => ['X' => -400, 'Y' => -200, 'Z' => 0]],
            'lengthSchool' => 'touch-off',
            'tools' => [
                ['number' => 1, 'name' => '10 end mill', 'kind' => 'end-mill', 'diameter' => 10, 'flutes' => 3, 'maxRpm' => 6000],
                ['number' => 2, 'name' => '8.5 drill', 'kind' => 'drill', 'diameter' => 8.5, 'flutes' => 2],
                ['number' => 3, 'name' => '6 end mill', 'kind' => 'end-mill', 'diameter' => 6, 'flutes' => 3],
                ['number' => 4, 'name' => 'M8 tap', 'kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25],
            ],
            'offsets' => ['H' => ['1' => -250, '2' => -230, '3' => ['geometry' => -240, 'wear' => 0.02]], 'D' => ['1' => 10]],
            'stock' => ['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0], 'workOffset' => 'G54'],
            'material' => 'aluminium',
            'clearance' => 2,
        ];

        return self::merge($file, $changes);
    }

    /** @param  array<string, mixed>  $changes */
    public static function setup(array $changes = []): Setup
    {
        return self::read(self::file($changes));
    }

    /**
     * A test that changes a field nobody reads would change nothing.
     *
     * @param  array<string, mixed>  $file
     */
    public static function read(array $file): Setup
    {
        $json = (string) json_encode($file);
        $setup = self::files()->read($json);
        $unread = self::files()->unread($json);

        return $unread === [] ? $setup : throw new LogicException(implode(' ', $unread));
    }

    /**
     * @param  array<string, mixed>  $changes
     * @param  bool  $isCut  whether the stock is cut on the way, or taken as given
     */
    public static function verify(string $text, array $changes = [], bool $isCut = true): Verification
    {
        $setup = self::setup($changes);

        return Verification::of(Program::fromText($text), $setup, stock: $isCut ? StockRun::in($setup, self::CELL) : null);
    }

    /**
     * @param  array<string, mixed>  $changes
     * @return list<array<string, mixed>> the rows of the trace as in the trace file
     */
    public static function rows(string $text, array $changes = []): array
    {
        $setup = self::setup($changes);

        return array_slice(iterator_to_array(TraceLines::of(Verification::trace(Program::fromText($text), $setup), $setup), false), 1);
    }

    /** @return list<array<string, mixed>> the rows of a verification's trace as in the trace file */
    public static function rowsOf(Verification $verification): array
    {
        return array_slice(iterator_to_array(TraceLines::of($verification->trace, $verification->setup), false), 1);
    }

    /**
     * @param  array<string, mixed>  $changes
     * @return list<array<string, mixed>> only what moves
     */
    public static function moves(string $text, array $changes = []): array
    {
        return array_values(array_filter(self::rows($text, $changes), static fn (array $row): bool => isset($row['to'])));
    }

    /**
     * Each motion as kind and end point: ['rapid', 4, 5, 3].
     *
     * @param  array<string, mixed>  $changes
     * @return list<array{string, float, float, float}>
     */
    public static function points(string $text, array $changes = self::AT_ZERO): array
    {
        return array_map(static fn (array $row): array => [$row['kind'], ...$row['to']], self::moves($text, $changes));
    }

    /**
     * A sound program around some lines: units, tool, offsets and speed stated, end code given.
     */
    public static function sound(string $lines): string
    {
        return "G21 G17 G40 G49 G80 G90 G94\nT1 M6\nG54 G0 X0. Y0.\nS3000 M3\nG43 H1 Z25.\n{$lines}\nG0 Z25.\nM30\n";
    }

    /** @return list<Finding> what one check found */
    public static function findings(string $check, Verification $run): array
    {
        return array_values(array_filter($run->findings, static fn (Finding $finding): bool => $finding->check === $check));
    }

    /** What to do about a finding, as a shop in millimetres reads it. */
    public static function remedy(Finding $finding): string
    {
        return (new Wording(Units::Millimetre))->remedy($finding);
    }

    /** @return list<string> names of the checks that found something */
    public static function names(Verification $verification): array
    {
        return array_values(array_unique(array_map(static fn (Finding $finding): string => $finding->check, $verification->findings)));
    }

    /**
     * @param  array<string, mixed>  $file
     * @param  array<string, mixed>  $changes
     * @return array<string, mixed>
     */
    public static function merge(array $file, array $changes): array
    {
        foreach ($changes as $key => $value) {
            if ($value === null) {
                unset($file[$key]);
            } elseif (is_array($value) && ! array_is_list($value) && is_array($file[$key] ?? null)) {
                $file[$key] = self::merge($file[$key], $value);
            } else {
                $file[$key] = $value;
            }
        }

        return $file;
    }
}
