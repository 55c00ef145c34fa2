<?php

declare(strict_types=1);

namespace App\Shop;

use App\Logbook\Kind;
use App\Logbook\SetupChange;
use App\Models\LogEntry;
use App\Models\Machine;
use App\Models\Part;
use App\Models\Setup;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Explain\SetupGuess;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Language\Program as ProgramText;
use OakTrace\Core\Quantities\Units;

/** Begins a setup: empty, or with what programs seem to need, each with where that is read from. */
final readonly class NewSetup
{
    /** Usual height over the stock where rapids may cross (common practice). */
    private const CLEARANCE = ['mm' => 2.0, 'inch' => 0.1];

    private const UNITS = ['mm' => 'millimetres', 'inch' => 'inches'];

    public function __construct(private Revising $revising, private SetupChange $changes, private SetupFile $files)
    {
    }

    /** What it does not say yet is reported by the checks that need it. */
    public function begin(Part $part, Machine $machine, int $operation, string $name, ?Units $units = null): Setup
    {
        $units ??= Units::tryFrom((string) $part->units) ?? Units::Millimetre;
        $document = (object) array_filter([
            'format' => 'oak-setup/1', 'units' => $units->value, 'material' => $part->material, 'clearance' => self::CLEARANCE[$units->value],
        ], static fn (mixed $value): bool => $value !== null && $value !== '');
        $setup = $part->setups()->create(['machine_id' => $machine->id, 'operation' => $operation, 'name' => $name, 'document' => $document]);
        LogEntry::note(Kind::Setup, $setup->title(), [['setup', null, 'created']], $setup);

        return $setup;
    }

    /**
     * A setup for programs that have none, with units, machine and tools as their texts have them. Offsets are left to be touched off.
     *
     * @param  non-empty-list<array{name: string, text: string, isConverted: bool}>  $programs
     * @return array{Setup, string} the setup, and what it was made from
     *
     * @throws ShopProblem where the shop has no machine yet
     */
    public function from(Part $part, array $programs, User $by): array
    {
        return DB::transaction(function () use ($part, $programs, $by): array {
            [$machine, $control] = $this->machine($part, $programs);
            [$units, $from] = [null, 'no program says its units, so those of the part'];
            foreach ($programs as ['name' => $name, 'text' => $text]) {
                $said = SetupGuess::of(ProgramText::fromText($text), $this->control($machine))['units'];
                if ($said !== null) {
                    [$units, $from] = [Units::from($said['value']), self::UNITS[$said['value']]." ({$name} line {$said['line']})"];

                    break;
                }
            }
            $setup = $this->begin($part, $machine, (int) $part->setups()->max('operation') + 10, 'From '.$programs[0]['name'], $units);
            foreach ($programs as ['name' => $name, 'text' => $text, 'isConverted' => $isConverted]) {
                $this->revising->begin($setup, $name, $text, $by, Revising::imported($isConverted));
            }
            $tools = SetupNeeds::of($setup->load('programs.latest'), $setup->core($this->files))['tools'];
            if ($tools !== []) {
                $setup = $this->changes->touch($setup, static function (object $document) use ($tools): object {
                    $rows = array_map(static fn (array $tool): array => ['number' => $tool['number']] + $tool['definition'], $tools);

                    return (object) (['tools' => $rows] + get_object_vars($document));
                }, 'read from the programs');
            }
            $named = implode(', ', array_map(static fn (array $tool): string => "T{$tool['number']}", $tools));

            return [$setup, "Made from the program: {$from}; {$machine->name}, {$control}; ".($named === '' ? 'no tools' : "tools {$named}").'. Look at each.'];
        });
    }

    /**
     * The machine whose control knows most of the codes; of equals the one the part was made on last.
     *
     * @param  non-empty-list<array{name: string, text: string, isConverted: bool}>  $programs
     * @return array{Machine, string} with what was found of its control
     */
    private function machine(Part $part, array $programs): array
    {
        $texts = array_map(static fn (array $program): ProgramText => ProgramText::fromText($program['text']), $programs);
        $last = $part->setups()->latest('operation')->value('machine_id');
        $best = null;
        foreach (Machine::query()->orderBy('name')->get() as $machine) {
            $control = $this->control($machine);
            $unknown = array_sum(array_map(static fn (ProgramText $text): int => SetupGuess::unknownCodes($text, $control), $texts));
            $rank = [$unknown, $machine->id === $last ? 0 : 1];
            if ($best === null || $rank < $best[1]) {
                $best = [$machine, $rank];
            }
        }
        [$machine, [$unknown]] = $best ?? throw new ShopProblem('There is no machine yet. Make one first.');

        return [
            $machine,
            $unknown === 0 ? 'whose control knows every code' : 'whose control does not know '.($unknown === 1 ? 'one code' : "{$unknown} codes"),
        ];
    }

    private function control(Machine $machine): ControlProfile
    {
        return $this->files->read(Setup::join((object) ['format' => 'oak-setup/1', 'units' => Units::Millimetre->value], $machine))->machine->control;
    }
}
