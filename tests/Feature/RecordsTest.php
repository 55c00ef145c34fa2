<?php

declare(strict_types=1);

use App\Models\LogEntry;
use App\Models\Machine;
use App\Models\Part;
use App\Models\Program;
use App\Models\Setup;
use Illuminate\Http\UploadedFile;
use Tests\Core\Demo;

const SUBPROGRAM = "O2000\nG91 G1 X1. F100.\nG90\nM99\n";

function zipOf(array $files): UploadedFile
{
    $path = (string) tempnam(sys_get_temp_dir(), 'oak');
    $zip = new ZipArchive;
    $zip->open($path, ZipArchive::OVERWRITE);
    foreach ($files as $name => $text) {
        $zip->addFromString($name, $text);
    }
    $zip->close();

    return UploadedFile::fake()->createWithContent('programs.zip', (string) file_get_contents($path));
}

function fileOf(string $name, string $text): UploadedFile
{
    return UploadedFile::fake()->createWithContent($name, $text);
}

describe('beginning', function (): void {
    it('goes from a part to a program with a verdict, nothing brought in', function (): void {
        $this->actingAs(person('machinist'));
        $part = $this->postJson('/parts', ['name' => 'Click', 'drawing_number' => '', 'material' => 'brass', 'units' => 'mm'])->assertCreated()->json('id');
        $machine = Machine::where('name', 'Alder')->firstOrFail()->id;
        $setup = $this->postJson("/parts/{$part}/new-setup", ['machine' => $machine, 'name' => 'Vice', 'operation' => 10])->assertCreated()->json('id');
        $program = $this->postJson("/setups/{$setup}/new-program", ['name' => '', 'text' => "O0042\nG21\nG0 X5.\nM30\n"])->assertCreated()->json('id');
        $made = Program::findOrFail($program);
        expect($made->name)->toBe('O42')->and($made->verdict)->not->toBeNull()->and($made->worst['text'])->not->toBe('')
            ->and(documentOf(Setup::findOrFail($setup)))->toBe(['format' => 'oak-setup/1', 'units' => 'mm', 'material' => 'brass', 'clearance' => 2]);
        $this->postJson("/setups/{$setup}/new-program", ['name' => null, 'text' => "O42\nM30"])->assertCreated();
        expect(Program::orderByDesc('id')->firstOrFail()->name)->toBe('O42 2');
    });

    it('says what a form lacks, by its field', function (string $url, array $fields, string $field, string $says): void {
        $this->actingAs(person())->postJson($url, $fields)->assertUnprocessable()->assertJsonPath("errors.{$field}.0", $says);
    })->with([
        ['/parts', ['name' => '', 'drawing_number' => '', 'material' => '', 'units' => 'mm'], 'name', 'Enter a name.'],
        [
            '/parts', ['name' => 'Hand hub', 'drawing_number' => 'FCW-1305', 'material' => '', 'units' => 'mm'], 'name',
            'There is a part of this name and drawing number already.',
        ],
        ['/parts/1/new-setup', ['machine' => 99, 'name' => 'Vice', 'operation' => 10], 'machine', 'This machine is not in the list any more.'],
        [
            '/parts/1/new-setup', ['machine' => 1, 'name' => 'Vice', 'operation' => 1.5], 'operation',
            'An operation number is a whole number, such as 10.',
        ],
        ['/setups/1/new-program', ['name' => 'O1305', 'text' => ''], 'name', 'This setup has a program of this name already.'],
    ]);

    it('is not for a learner', function (string $method, string $url): void {
        $this->actingAs(person('learner'))->{$method.'Json'}($url, [])->assertForbidden();
    })->with([
        ['post', '/parts'], ['put', '/parts/1'], ['post', '/parts/1/copy'], ['put', '/parts/1/archived'], ['delete', '/parts/1'],
        ['post', '/parts/1/new-setup'],
        ['put', '/setups/1/record'], ['post', '/setups/1/copy'], ['delete', '/setups/1'], ['post', '/setups/1/new-program'], ['put', '/programs/1'],
        ['post', '/programs/1/copy'], ['delete', '/programs/1'],
    ]);

    it('asks for a sign-in', function (string $method, string $url): void {
        $this->{$method.'Json'}($url, [])->assertUnauthorized();
    })->with([
        ['post', '/parts'], ['put', '/parts/1'], ['post', '/parts/1/copy'], ['put', '/parts/1/archived'], ['delete', '/parts/1'], ['get', '/bin'],
        ['post', '/bin/part/1'], ['delete', '/bin/part/1'], ['post', '/parts/1/new-setup'], ['put', '/setups/1/record'], ['post', '/setups/1/copy'],
        ['delete', '/setups/1'], ['post', '/setups/1/new-program'], ['put', '/programs/1'], ['post', '/programs/1/copy'], ['delete', '/programs/1'],
    ]);
});

describe('renaming and moving', function (): void {
    it('writes into the logbook what a thing was called', function (): void {
        $this->actingAs(person());
        $this->putJson('/parts/1', ['name' => 'Hour hand hub', 'drawing_number' => 'FCW-1305', 'material' => 'brass', 'units' => 'mm'])->assertNoContent();
        $this->putJson('/setups/1/record', ['name' => 'Vice', 'operation' => 15])->assertNoContent();
        $this->putJson('/programs/1', ['name' => 'HUB'])->assertNoContent();
        expect(Part::findOrFail(1)->name)->toBe('Hour hand hub')
            ->and(Setup::findOrFail(1)->operation)->toBe(15)
            ->and(Program::findOrFail(1)->name)->toBe('HUB');
        expect(LogEntry::where('field', 'name')->get()->map->only('was', 'is')->all())->toBe([
            ['was' => 'Hand hub', 'is' => 'Hour hand hub'],
            ['was' => 'Hour hand hub, op 10 Vice on 40 parallels', 'is' => 'Hour hand hub, op 15 Vice'],
            ['was' => 'O1305', 'is' => 'HUB'],
        ]);
    });

    it('moves a program to another setup, where it has to be proven anew', function (): void {
        Program::findOrFail(1)->update(['proof' => ['on' => '2026-03-02', 'by' => 'J. Fern', 'revision' => 1, 'parts' => []]]);
        $this->actingAs(person())->putJson('/programs/1', ['name' => 'O1305', 'setup' => 2])->assertNoContent();
        $program = Program::findOrFail(1);
        expect($program->setup_id)->toBe(2)->and($program->proof)->toBeNull()->and($program->verdict)->toBe('stop');
        $this->putJson('/programs/1', ['name' => 'O1210', 'setup' => 2])->assertUnprocessable()
            ->assertJsonPath('errors.name.0', 'That setup has a program of this name already.');
    });

    it('moves a setup to another part', function (): void {
        $this->actingAs(person())->putJson('/setups/1/record', ['name' => 'Vice', 'operation' => 20, 'part' => 2])->assertNoContent();
        expect(Setup::findOrFail(1)->part_id)->toBe(2);
    });

    it('archives a part and takes it back', function (): void {
        $this->actingAs(person())->putJson('/parts/1/archived', ['archived' => true])->assertNoContent();
        expect(collect(props('/')['parts'])->firstWhere('id', 1)['isArchived'])->toBeTrue();
        $this->putJson('/parts/1/archived', ['archived' => false])->assertNoContent();
        expect(Part::findOrFail(1)->archived_at)->toBeNull();
    });

    it('lists first what a person opened last', function (): void {
        $this->actingAs(person())->get('/setups/'.program('1935')->setup_id)->assertOk();
        expect(props('/')['parts'][0]['name'])->toBe('Weight guide plate');
        $this->actingAs(person('machinist'));
        expect(props('/')['parts'][0]['name'])->toBe('Dial ring segment');
    });
});

describe('copying', function (): void {
    it('trusts no offset of a copied setup until it is touched off', function (): void {
        $setup = program('1305')->setup;
        $id = $this->actingAs(person())->postJson("/setups/{$setup->id}/copy")->assertCreated()->json('id');
        $copy = Setup::findOrFail($id);
        $document = documentOf($copy);
        expect($copy->operation)->toBe(20)
            ->and($document['notTrusted']['G54'])->toBe(['why' => 'copied', 'from' => 'Hand hub, op 10 Vice on 40 parallels', 'axes' => ['X', 'Y', 'Z']])
            ->and(array_diff_key($document, ['notTrusted' => 0]))->toEqual(documentOf($setup));
        $program = $copy->programs()->firstOrFail();
        expect($program->verdict)->toBe('stop')->and($program->worst['text'])->toBe(
            'G54, H1, H2, H3 and H4 were copied from Hand hub, op 10 Vice on 40 parallels and not touched off here.',
        );
        expect($program->revisions()->count())->toBe(1)->and($program->latest->reason)->toBe('Copied from O1305 revision 1');
    });

    it('copies a part with all that belongs to it, under a name of its own', function (): void {
        $this->actingAs(person());
        $id = $this->postJson('/parts/1/copy')->assertCreated()->json('id');
        $again = $this->postJson('/parts/1/copy')->assertCreated()->json('id');
        expect(Part::findOrFail($id)->name)->toBe('Hand hub copy')->and(Part::findOrFail($again)->name)->toBe('Hand hub copy 2')
            ->and(Part::findOrFail($id)->setups()->first()?->programs()->first()?->latest->text)->toBe(program('1305')->latest->text);
    });

    it('copies a program beside itself or into another setup', function (): void {
        $this->actingAs(person());
        $beside = $this->postJson('/programs/1/copy')->assertCreated()->json('id');
        $other = $this->postJson('/programs/1/copy', ['setup' => 2])->assertCreated()->json('id');
        expect(Program::findOrFail($beside)->name)->toBe('O1305 copy')->and(Program::findOrFail($other)->only('name', 'setup_id'))
            ->toBe(['name' => 'O1305', 'setup_id' => 2]);
    });
});

describe('the bin', function (): void {
    it('takes a part with all that belongs to it, and gives it back as it was', function (): void {
        $this->actingAs(person('machinist'))->deleteJson('/parts/1')->assertNoContent();
        $this->get('/programs/1')->assertNotFound();
        $this->get('/setups/1')->assertNotFound();
        $contents = props('/bin')['contents'];
        expect($contents)->toHaveCount(1)->and($contents[0])->toMatchArray(['kind' => 'part', 'id' => 1, 'title' => 'Hand hub'])
            ->and(collect(props('/')['parts'])->pluck('name'))->not->toContain('Hand hub');
        $this->postJson('/bin/part/1')->assertNoContent();
        expect(Program::findOrFail(1)->verdict)->toBe('clear')->and(props('/bin')['contents'])->toBe([]);
        $this->postJson('/bin/part/1')->assertNotFound();
    });

    it('gives back no more than went in with a thing', function (): void {
        $this->actingAs(person())->deleteJson('/programs/1')->assertNoContent();
        $this->travel(5)->seconds();
        $this->deleteJson('/setups/1')->assertNoContent();
        expect(array_column(props('/bin')['contents'], 'title'))->toBe(
            ['Hand hub, op 10 Vice on 40 parallels', 'O1305 of Hand hub, op 10 Vice on 40 parallels'],
        );
        $this->postJson('/bin/program/1')->assertConflict()
            ->assertJsonPath('message', 'Hand hub, op 10 Vice on 40 parallels is in the bin too. Restore that first.');
        $this->postJson('/bin/setup/1')->assertNoContent();
        expect(Program::find(1))->toBeNull();
        $this->postJson('/bin/program/1')->assertNoContent();
        expect(Program::find(1))->not->toBeNull();
    });

    it('is emptied by a lead alone, and then for good', function (): void {
        $this->actingAs(person('machinist'))->deleteJson('/setups/1')->assertNoContent();
        $this->deleteJson('/bin/setup/1')->assertForbidden();
        $this->actingAs(person())->deleteJson('/bin/setup/1')->assertNoContent();
        expect(Setup::withTrashed()->find(1))->toBeNull()->and(Program::withTrashed()->find(1))->toBeNull()
            ->and(LogEntry::latest('id')->first()?->only('subject', 'field'))->toBe(
                ['subject' => 'Hand hub, op 10 Vice on 40 parallels', 'field' => 'deleted for good'],
            );
    });
});

describe('bringing programs in', function (): void {
    it('takes a file of a program it has as a revision, and shows the difference', function (): void {
        $this->actingAs(person());
        $changed = program('1305')->latest->text."(AGAIN)\n";
        $this->post('/setups/1/programs', ['file' => fileOf('O1305.nc', $changed)])->assertRedirect('/programs/1/compare?from=1&to=2');
        expect(program('1305')->latest->text)->toBe($changed)->and(Program::count())->toBe(Demo::JOBS);
        $this->post('/setups/1/programs', ['file' => fileOf('O1305.txt', $changed)])->assertRedirect('/programs/1')->assertSessionHas('notice');
        expect(program('1305')->latest->number)->toBe(2);
    });

    it('takes many files and zips at once', function (): void {
        $this->actingAs(person())->post('/setups/1/programs', ['files' => [
            fileOf('PLATE', "G21\nM30"), fileOf('12.34', "G21\nM30"), zipOf(['sub/O2000.MIN' => SUBPROGRAM, 'O1305.nc' => program('1305')->latest->text]),
        ]])->assertRedirect('/setups/1')->assertSessionHas('notice', '4 programs imported: 3 new, 1 unchanged.');
        expect(Setup::findOrFail(1)->programs()->pluck('name')->all())->toBe(['O1305', 'PLATE', '12', 'O2000']);
    });

    it('takes all or none, and names the file that is wrong', function (array $files, string $says): void {
        $this->actingAs(person())->post('/setups/1/programs', ['files' => array_map(static fn (Closure $file): UploadedFile => $file(), $files)])
            ->assertSessionHasErrors('file');
        expect(session('errors')->first('file'))->toContain($says)->and(Program::count())->toBe(Demo::JOBS);
    })->with([
        'a picture among them' => [[fn () => fileOf('A.nc', 'G21'), fn () => fileOf('B.nc', "\x89PNG\x00")], '“B.nc” is not a text file'],
        'one name twice' => [[fn () => fileOf('A.nc', 'G21'), fn () => fileOf('A.txt', 'G20')], 'would both become A'],
        'a path out of the zip' => [[fn () => zipOf(['../../etc/A.nc' => 'G21'])], 'points outside it (“../../etc/A.nc”)'],
        'a zip inside a zip' => [[fn () => zipOf(['A.zip' => "PK\x03\x04\x00"])], '“A.zip” is not a text file'],
        'a damaged zip' => [[fn () => fileOf('A.zip', "PK\x03\x04 broken")], '“A.zip” is a damaged zip file'],
    ]);

    it('unpacks no more than a program may be', function (): void {
        config(['oak.largest_program' => 1024 * 1024]);
        $this->actingAs(person())->post(
            '/setups/1/programs', ['files' => [zipOf(['A.nc' => str_repeat("G1 X0.\n", 200_000)])]],
        )->assertSessionHasErrors('file');
        expect(session('errors')->first('file'))->toBe('“programs.zip” unpacks to more than 1 MB. Nothing was saved.');
    });
});

describe('a subprogram in a file of its own', function (): void {
    it('is found when it is called, goes into the setup file, and has its callers named', function (): void {
        $this->actingAs(person());
        $setup = program('1305')->setup;
        $this->postJson("/setups/{$setup->id}/new-program", ['name' => 'CALLS', 'text' => "G21 G90\nM98 P2000\nM30\n"])->assertCreated();
        $caller = Program::where('name', 'CALLS')->firstOrFail();
        expect($caller->worst['text'])->toContain('O2000');
        $this->postJson("/setups/{$setup->id}/new-program", ['name' => 'SUB', 'text' => SUBPROGRAM])->assertCreated();
        expect($caller->refresh()->calls)->toBe(['O2000'])->and($caller->worst['text'] ?? '')->not->toContain('O2000');
        expect($this->getJson("/setups/{$setup->id}/file")->json('subprograms.O2000'))->toBe(SUBPROGRAM);
        $row = collect(props('/')['parts'])->firstWhere('name', 'Hand hub')['setups'][0]['programs'];
        expect(collect($row)->firstWhere('name', 'SUB')['calledBy'])->toBe(['CALLS'])->and(collect($row)->firstWhere('name', 'CALLS')['calledBy'])->toBeNull();
        $called = fn (string $name): array => props('/programs/'.Program::where('name', $name)->firstOrFail()->id)['program']['calledBy'];
        expect($called('SUB'))->toBe(['CALLS'])->and($called('CALLS'))->toBe([]);
    });

    it('has its callers checked again when it changes', function (): void {
        $this->actingAs(person());
        $this->postJson('/setups/1/new-program', ['name' => 'SUB', 'text' => SUBPROGRAM])->assertCreated();
        $this->postJson('/setups/1/new-program', ['name' => 'CALLS', 'text' => "G21 G90\nM98 P2000\nM30\n"])->assertCreated();
        $sub = Program::where('name', 'SUB')->firstOrFail();
        $this->postJson("/programs/{$sub->id}/revisions", ['text' => str_replace('G91 G1 X1. F100.', 'M98 P3000', SUBPROGRAM), 'base' => 1])->assertCreated();
        expect(Program::where('name', 'CALLS')->firstOrFail()->worst['text'])->toContain('O3000');
    });
});

describe('what the programs of a setup need', function (): void {
    it('is read from their texts, in the units of the setup', function (): void {
        $this->actingAs(person())->postJson('/setups/1/new-program', [
            'name' => 'BRACKET', 'text' => "G20 G90\n(T9 1/2 END MILL)\nT9 M6\nG56 G0 X1.\nT1 M6\nG284 X1.\nM30\n",
        ])->assertCreated();
        $needs = $this->getJson('/setups/1/needs')->assertOk()->json();
        expect($needs['tools'])->toEqual([[
            'number' => 9, 'definition' => ['kind' => 'end-mill', 'diameter' => 12.7, 'name' => '1/2 END MILL'], 'from' => 'BRACKET line 3',
        ]])->and($needs['workOffsets'])->toBe([['name' => 'G56', 'from' => 'BRACKET line 4']])
            ->and($needs['notes'][0])->toBe(
                'BRACKET is written in inches (line 1); this setup is in millimetres. '
                    .'Convert the setup, or state the units of the drawing in the program.',
            );
    });

    it('is nothing where it is all there', function (): void {
        expect($this->actingAs(person())->getJson('/setups/1/needs')->json())->toBe(['tools' => [], 'workOffsets' => [], 'notes' => []]);
    });
});

describe('a setup from a program', function (): void {
    it('has the units, the machine and the tools the texts ask for', function (): void {
        $this->actingAs(person());
        $part = Part::create(['name' => 'Bracket', 'drawing_number' => 'B-1', 'material' => 'steel', 'units' => 'mm']);
        $this->post("/parts/{$part->id}/programs", ['files' => [
            fileOf('BRACKET.nc', "G20 G90\n(T9 1/2 END MILL)\nT9 M6\nG56 G0 X1.\nM30\n"), fileOf('SUB.nc', "O2000\nG1 X1. F10.\nM99\n"),
        ]])->assertRedirect();
        $setup = $part->setups()->firstOrFail();
        expect(session('notice'))->toStartWith('Made from the program: inches (BRACKET line 1); ')
            ->and(session('notice'))->toContain('whose control knows every code; tools T9. Look at each.')
            ->and([$setup->operation, $setup->name])->toBe([10, 'From BRACKET'])->and(documentOf($setup))->toEqual([
                'format' => 'oak-setup/1', 'units' => 'inch', 'material' => 'steel', 'clearance' => 0.1,
                'tools' => [['number' => 9, 'kind' => 'end-mill', 'diameter' => 0.5, 'name' => '1/2 END MILL']],
            ])->and($setup->programs()->pluck('name')->all())->toBe(['BRACKET', 'SUB']);
    });

    it('is on the machine that knows the codes best, of equals the one the part was made on', function (): void {
        $this->actingAs(person());
        $last = Setup::with('machine')->findOrFail(1);
        $this->post("/parts/{$last->part_id}/programs", ['file' => fileOf('X.nc', "G21 G90\nG0 X1.\nM30\n")])->assertRedirect();
        expect(Setup::latest('id')->firstOrFail()->machine_id)->toBe($last->part->setups()->reorder('operation', 'desc')->skip(1)->firstOrFail()->machine_id);
    });

    it('keeps nothing where one file cannot be taken, or there is no machine', function (): void {
        $this->actingAs(person());
        $part = Part::create(['name' => 'Bracket', 'drawing_number' => '', 'units' => 'mm']);
        $this->post("/parts/{$part->id}/programs", ['files' => [fileOf('A.nc', 'G21'), fileOf('B.nc', "\0\1")]])->assertSessionHasErrors();
        Machine::query()->delete();
        $this->post("/parts/{$part->id}/programs", ['file' => fileOf('A.nc', 'G21')])
            ->assertSessionHasErrors(['file' => 'There is no machine yet. Make one first.']);
        $this->post("/parts/{$part->id}/programs")->assertSessionHasErrors('file');
        expect($part->setups()->count())->toBe(0);
    });
});
