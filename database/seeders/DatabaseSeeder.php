<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Checking\ProgramVerdict;
use App\Models\Machine;
use App\Models\Part;
use App\Models\Profile;
use App\Models\Role;
use App\Models\User;
use App\OperationSheets\SheetAnswer;
use Illuminate\Database\Seeder;
use OakTrace\Core\Formats\SetupFile;

/** The demo shop: Fernhollow Clock Works, its people, machines, parts and programs (database/demo). */
class DatabaseSeeder extends Seeder
{
    private const PEOPLE = [
        ['name' => 'J. Fern', 'email' => 'lead@fernhollow.example', 'role' => Role::Lead],
        ['name' => 'M. Hollow', 'email' => 'machinist@fernhollow.example', 'role' => Role::Machinist],
        ['name' => 'T. Sapling', 'email' => 'learner@fernhollow.example', 'role' => Role::Learner],
    ];

    private const PARTS = [
        ['name' => 'Hand hub', 'drawing' => 'FCW-1305', 'operation' => 10, 'setup' => 'Vice on 40 parallels', 'program' => '1305', 'reason' => 'First written'],
        [
            'name' => 'Pallet bridge plate', 'drawing' => 'FCW-1201', 'operation' => 10, 'setup' => 'One vice', 'program' => '1210',
            'reason' => 'Right slot added',
        ],
        [
            'name' => 'Dial ring segment', 'drawing' => 'FCW-1410', 'operation' => 20, 'setup' => 'Long fixture plate', 'program' => '1410',
            'reason' => 'First written',
        ],
        [
            'name' => 'Winding arbor', 'drawing' => 'FCW-1502', 'operation' => 30, 'setup' => 'Comb fixture', 'program' => '1502',
            'reason' => 'From last year, pins added',
        ],
        ['name' => 'Escape cock plate', 'drawing' => 'FCW-1711', 'operation' => 10, 'setup' => 'Soft jaws', 'program' => '1711', 'reason' => 'First written'],
        [
            'name' => 'Winding arbor, square end', 'drawing' => 'FCW-1820', 'operation' => 20, 'setup' => 'Rotary and centre', 'program' => '1820',
            'machine' => 'Alder with rotary', 'reason' => 'First written',
        ],
        [
            'name' => 'Weight guide plate', 'drawing' => 'FCW-1935', 'operation' => 10, 'setup' => 'Vice, soft jaws', 'program' => '1935',
            'reason' => 'First written',
        ],
        [
            'name' => 'Pinion blank carrier', 'drawing' => 'FCW-1608', 'operation' => 10, 'setup' => 'Vice, inch drawing', 'program' => '1608',
            'reason' => 'First written',
        ],
    ];

    /** Parts of the lathes. */
    private const TURNED = [
        [
            'name' => 'Weight pulley', 'drawing' => 'FCW-2110', 'operation' => 10, 'setup' => 'Three jaws, 45 out', 'program' => '2110',
            'machine' => 'Hazel', 'reason' => 'First written',
        ],
        [
            'name' => 'Setting screw, two start', 'drawing' => 'FCW-2130', 'operation' => 10, 'setup' => 'Collet 12', 'program' => '2130',
            'machine' => 'Hazel', 'reason' => 'First written',
        ],
        [
            'name' => 'Winding arbor, turned', 'drawing' => 'FCW-2140', 'operation' => 10, 'setup' => 'Three jaws and centre', 'program' => '2140',
            'machine' => 'Hazel', 'reason' => 'First written',
        ],
        [
            'name' => 'Pinion blank', 'drawing' => 'FCW-2150', 'operation' => 10, 'setup' => 'Collet 16', 'program' => '2150', 'machine' => 'Willow',
            'reason' => 'First written',
        ],
        [
            'name' => 'Pallet spacer', 'drawing' => 'FCW-2160', 'operation' => 10, 'setup' => 'Collet 10', 'program' => '2160', 'machine' => 'Willow',
            'reason' => 'First written',
        ],
        [
            'name' => 'Minute ring', 'drawing' => 'FCW-2170', 'operation' => 10, 'setup' => 'Three jaws on the bore end', 'program' => '2170',
            'machine' => 'Hazel', 'reason' => 'First written',
        ],
    ];

    /** Parts whose programs are written from an operation sheet. */
    private const SHEETS = [
        ['name' => 'Hub plate', 'drawing' => 'FCW-1306', 'operation' => 10, 'setup' => 'Vice on parallels', 'program' => '1306'],
        ['name' => 'Soft jaws, dial ring', 'drawing' => 'FCW-1610', 'operation' => 10, 'setup' => 'Two vices', 'program' => '1610'],
        ['name' => 'Front panel', 'drawing' => 'FCW-1702', 'operation' => 20, 'setup' => 'Vacuum plate', 'program' => '1702'],
    ];

    public function run(ProgramVerdict $verdicts, SheetAnswer $sheets, SetupFile $files): void
    {
        $people = array_map(static fn (array $person): User => User::create($person + ['password' => 'escapement']), self::PEOPLE);

        /** @var object $machines */
        $machines = json_decode(self::demo('machines.json'), false);
        foreach (get_object_vars($machines) as $name => $definition) {
            Machine::create(['name' => $name, 'definition' => $definition]);
        }
        $profile = Profile::create(
            [
                'title' => 'Rotary, as its control reads',
                'control' => ['title' => 'Rotary, as its control reads'] + get_object_vars($machines->{'Alder with rotary'}->control),
            ],
        );
        Machine::where('name', 'Alder with rotary')->update(['profile_id' => $profile->id]);

        foreach (self::PARTS as $i => $row) {
            $this->part($row, $people[$i % 2], $verdicts);
        }
        foreach (self::SHEETS as $row) {
            $this->sheet($row, $people[0], $sheets, $files, $verdicts);
        }
        foreach (self::TURNED as $i => $row) {
            $this->part($row, $people[$i % 2], $verdicts);
        }
    }

    /** @param  array{name: string, drawing: string, operation: int, setup: string, program: string, machine?: string, reason: string}  $row */
    private function part(array $row, User $by, ProgramVerdict $verdicts): void
    {
        /** @var object $document */
        $document = json_decode(self::demo("setup-{$row['program']}.json"), false);
        $part = Part::create(
            ['name' => $row['name'], 'drawing_number' => $row['drawing'], 'material' => $document->material ?? null, 'units' => $document->units ?? 'mm'],
        );
        $setup = $part->setups()->create(
            [
                'machine_id' => Machine::where('name', $row['machine'] ?? 'Alder')->firstOrFail()->id, 'operation' => $row['operation'],
                'name' => $row['setup'], 'document' => $document,
            ],
        );
        $program = $setup->programs()->create(['name' => 'O'.$row['program']]);
        $program->revisions()->create(
            ['number' => 1, 'text' => self::demo("O{$row['program']}.nc"), 'user_id' => $by->id, 'reason' => $row['reason']],
        );
        $verdicts->workOut($program->load('latest', 'setup.machine'));
    }

    /** @param  array{name: string, drawing: string, operation: int, setup: string, program: string}  $row */
    private function sheet(array $row, User $by, SheetAnswer $sheets, SetupFile $files, ProgramVerdict $verdicts): void
    {
        /** @var object $document */
        $document = json_decode(self::demo("setup-{$row['program']}.json"), false);
        $part = Part::create([
            'name' => $row['name'], 'drawing_number' => $row['drawing'], 'material' => $document->material ?? null, 'units' => $document->units ?? 'mm',
        ]);
        $setup = $part->setups()->create([
            'machine_id' => Machine::where('name', 'Alder')->firstOrFail()->id, 'operation' => $row['operation'], 'name' => $row['setup'],
            'document' => $document,
        ]);
        /** @var array<string, mixed> $whole */
        $whole = json_decode(self::demo("sheet-{$row['program']}.json"), true);
        $sheet = SheetAnswer::document($whole);
        $answer = $sheets->of($sheet, $setup->core($files), '', null);
        $program = $setup->programs()->create(['name' => 'O'.$row['program']]);
        $program->revisions()->create([
            'number' => 1, 'text' => $answer['text'], 'user_id' => $by->id, 'reason' => 'Written from the sheet',
            'sheet' => ['document' => $sheet, 'written' => $answer['written']],
        ]);
        $verdicts->workOut($program->load('latest', 'setup.machine'));
    }

    private static function demo(string $file): string
    {
        return (string) file_get_contents(database_path("demo/{$file}"));
    }
}
