<?php

declare(strict_types=1);

namespace App\Shop;

use App\Models\Program;
use App\Models\Setup;
use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Explain\SetupGuess;
use OakTrace\Core\Language\Program as ProgramText;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Setup as CoreSetup;

/** What the programs of a setup seem to need that it does not have yet, each with where that is read from. A guess, to be looked at. */
final class SetupNeeds
{
    /**
     * @return array{tools: list<array{number: int, definition: array<string, mixed>, from: string}>,
     *               workOffsets: list<array{name: string, from: string}>, notes: list<string>}
     */
    public static function of(Setup $setup, CoreSetup $core): array
    {
        $needs = ['tools' => [], 'workOffsets' => [], 'notes' => []];
        foreach ($setup->programs as $program) {
            if (strlen($program->latest->text) > (int) config('oak.stock_program')) {
                continue; // what a text of that size needs is found by its check
            }
            $guess = SetupGuess::of(ProgramText::fromText($program->latest->text), $core->machine->control);
            foreach ($guess['tools'] as $tool) {
                $number = (int) $tool['number'];
                if (! isset($core->tooling->tools[$number]) && ! in_array($number, array_column($needs['tools'], 'number'), true)) {
                    $definition = array_diff_key($tool, ['number' => 0, 'line' => 0]);
                    $needs['tools'][] = [
                        'number' => $number, 'from' => "{$program->name} line {$tool['line']}",
                        'definition' => self::inUnits($definition, $guess['units']['value'] ?? null, $core->units) + ['name' => "T{$number}"],
                    ];
                }
            }
            foreach ($guess['workOffsets'] as $name => $line) {
                if (! isset($core->workOffsets[$name]) && ! in_array($name, array_column($needs['workOffsets'], 'name'), true)) {
                    $needs['workOffsets'][] = ['name' => $name, 'from' => "{$program->name} line {$line}"];
                }
            }
            array_push($needs['notes'], ...self::notes($program, $guess, $core));
        }
        usort($needs['tools'], static fn (array $a, array $b): int => $a['number'] <=> $b['number']);

        return $needs;
    }

    /**
     * @param  array{units: array{value: string, line: int}|null, profiles: list<array{name: string, unknown: int}>}  $guess
     * @return list<string>
     */
    private static function notes(Program $program, array $guess, CoreSetup $core): array
    {
        $notes = [];
        if ($guess['units'] !== null && $guess['units']['value'] !== $core->units->value) {
            $words = ['mm' => 'millimetres', 'inch' => 'inches'];
            $notes[] = "{$program->name} is written in {$words[$guess['units']['value']]} (line {$guess['units']['line']}); this setup is in "
                ."{$words[$core->units->value]}. Convert the setup, or state the units of the drawing in the program.";
        }
        $own = array_column($guess['profiles'], 'unknown', 'name')[$core->machine->control->name] ?? 0;
        $best = $guess['profiles'][0];
        if ($core->machine->control->ownCodes === [] && $own > 0 && $best['unknown'] < $own) {
            $title = Profiles::named($best['name'])->title ?? $best['name'];
            $notes[] = "{$program->name} has {$own} codes that {$core->machine->name}’s control does not know; “{$title}” knows all but {$best['unknown']}. "
                .'Is it for another machine?';
        }

        return $notes;
    }

    /**
     * @param  array<string, mixed>  $tool
     * @return array<string, mixed>
     */
    private static function inUnits(array $tool, ?string $from, Units $to): array
    {
        $factor = (Units::tryFrom($from ?? '') ?? $to)->millimetres() / $to->millimetres();
        foreach ($factor === 1.0 ? [] : ['diameter', 'pitch'] as $field) {
            if (is_float($tool[$field] ?? null)) {
                $tool[$field] = round($tool[$field] * $factor, 5);
            }
        }

        return $tool;
    }
}
