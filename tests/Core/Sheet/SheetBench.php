<?php

declare(strict_types=1);

namespace Tests\Core\Sheet;

use OakTrace\Core\Control\DIs;
use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Sheet\BuiltProgram;
use OakTrace\Core\Sheet\Plan;
use OakTrace\Core\Sheet\Planner;
use OakTrace\Core\Sheet\ProgramWriter;
use OakTrace\Core\Sheet\SheetError;
use OakTrace\Core\Sheet\SheetFile;
use OakTrace\Core\Sheet\SheetSetup;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;

/** Sheets to try operations with, and the way from a sheet through its program to the stock that is left. */
final class SheetBench
{
    private static ?SheetFile $files = null;

    public static function files(): SheetFile
    {
        $schema = static fn (string $name): string => (string) file_get_contents(dirname(__DIR__, 3)."/schemas/{$name}.json");

        return self::$files ??= new SheetFile($schema('oak-sheet-1'), $schema('oak-setup-1'));
    }

    /**
     * A plate of 120 × 100 × 20 and the shop's tools, with some operations.
     *
     * @param  list<array<string, mixed>>  $operations
     * @param  array<string, mixed>  $changes
     * @return array<string, mixed>
     */
    public static function sheet(array $operations, array $changes = []): array
    {
        return $changes + [
            'format' => 'oak-sheet/1', 'units' => 'mm', 'name' => 'Trial plate', 'programNumber' => 12, 'profile' => 'iso-mill', 'material' => 'steel',
            'stock' => ['shape' => 'box', 'min' => [-60, -50, -20], 'max' => [60, 50, 0]],
            'tools' => [
                ['number' => 1, 'name' => '12 end mill', 'kind' => 'end-mill', 'diameter' => 12, 'centerCutting' => true, 'rpm' => 2600, 'feed' => 420],
                ['number' => 2, 'name' => '6.8 drill', 'kind' => 'drill', 'diameter' => 6.8, 'rpm' => 2200, 'feed' => 220],
                ['number' => 3, 'name' => '9.5 end mill', 'kind' => 'end-mill', 'diameter' => 9.5, 'centerCutting' => true, 'rpm' => 3000, 'feed' => 400],
                ['number' => 4, 'name' => 'M8 tap', 'kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25, 'rpm' => 400],
                ['number' => 5, 'name' => '40 face mill', 'kind' => 'face-mill', 'diameter' => 40, 'rpm' => 900, 'feed' => 500],
                ['number' => 6, 'name' => '12 spotting stick', 'kind' => 'engraver', 'diameter' => 12, 'rpm' => 700, 'feed' => 400, 'springStroke' => 2],
                ['number' => 7, 'name' => '8 spot drill', 'kind' => 'spot-drill', 'diameter' => 8, 'pointAngle' => 90, 'rpm' => 2500, 'feed' => 200],
            ],
            'operations' => $operations,
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $operations
     * @param  array<string, mixed>  $changes
     */
    public static function plan(array $operations, array $changes = []): Plan
    {
        $sheet = self::files()->read((string) json_encode(self::sheet($operations, $changes)));

        return Planner::planned($sheet, Profiles::named($sheet->profile));
    }

    /**
     * @param  list<array<string, mixed>>  $operations
     * @param  array<string, mixed>  $changes
     */
    public static function build(array $operations, array $changes = []): BuiltProgram
    {
        return ProgramWriter::write(self::plan($operations, $changes));
    }

    /**
     * @param  list<array<string, mixed>>  $operations
     * @param  array<string, mixed>  $changes
     * @return array<string, string> what is wrong, by field
     */
    public static function wrong(array $operations, array $changes = []): array
    {
        try {
            self::build($operations, $changes);
        } catch (SheetError $error) {
            return $error->fields;
        }

        return [];
    }

    /** @return array<string, mixed> the setup a plan's program runs in, on the shop's mill with the plan's control */
    public static function setup(Plan $plan, array $target = []): array
    {
        $setup = SheetSetup::of($plan);
        $unit = $plan->sheet->units->millimetres();
        $offsets = [];
        foreach ($plan->sheet->workOffsets as $n => $name) {
            $offsets[$name] = ['X' => (-500 + 150 * $n) / $unit, 'Y' => -200 / $unit, 'Z' => -300 / $unit];
        }
        $lengths = $diameters = [];
        foreach ($setup['tools'] as $tool) {
            $lengths[$tool['number']] = (100 + 7.3 * $tool['number']) / $unit;
            $diameters[$tool['number']] = $tool['diameter'] / ($plan->control->options->dIs === DIs::Radius ? 2 : 1);
        }
        $machine = [
            'name' => 'Elm', 'kind' => 'mill', 'axes' => array_fill_keys(['X', 'Y', 'Z'], (object) []),
            'control' => ['profile' => $plan->sheet->profile],
        ];

        return $setup + [
            'machine' => $machine, 'workOffsets' => $offsets, 'lengthSchool' => 'gauge-line', 'offsets' => ['H' => $lengths, 'D' => $diameters],
        ] + ($target === [] ? [] : ['target' => $target]);
    }

    /**
     * @param  array<string, mixed>  $target  what is to stand there in the end
     * @return array{Verification, StockRun}
     */
    public static function run(Plan $plan, array $target = [], float $cell = 0.5): array
    {
        return self::cut($plan, self::setup($plan, $target), $cell);
    }

    /**
     * @param  array<string, mixed>  $setup
     * @return array{Verification, StockRun}
     */
    public static function cut(Plan $plan, array $setup, float $cell): array
    {
        $setup = Bench::files()->read((string) json_encode($setup));
        $stock = StockRun::in($setup, $cell);

        return [Verification::of(Program::fromText(ProgramWriter::write($plan)->text()), $setup, stock: $stock), $stock];
    }

    /** @return list<string> the findings that stop a run */
    public static function stops(Verification $run): array
    {
        $stops = [];
        $wording = new Wording($run->setup->units);
        foreach ($run->findings as $finding) {
            if ($finding->severity->value === 'stop') {
                $stops[] = "{$finding->check} line {$finding->line}: {$wording->text($finding)}";
            }
        }

        return $stops;
    }
}
