<?php

declare(strict_types=1);

use App\Checking\ProgramVerdict;
use App\Jobs\RefreshVerdict;
use App\Models\Machine;
use App\Models\Part;
use App\Models\Program;
use App\Models\Setup;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Queue;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Trace\LineHeights;
use Tests\Core\Demo;

describe('signing in', function (): void {
    it('is asked of everyone, for everything', function (string $method, string $path): void {
        $this->{$method}($path)->assertRedirect('/sign-in');
    })->with([
        ['get', '/'], ['get', '/programs/1'], ['get', '/setups/1'], ['get', '/programs/1/file'], ['get', '/setups/1/file'],
        ['post', '/programs/1/check'], ['post', '/programs/1/revisions'], ['put', '/setups/1'], ['post', '/parts/1/setups'],
        ['post', '/setups/1/programs'], ['get', '/profiles'], ['post', '/profiles'], ['put', '/profiles/1'], ['post', '/programs/1/explain'],
        ['post', '/programs/1/offsets'], ['post', '/programs/1/stock'], ['post', '/programs/1/solid'], ['post', '/programs/1/transform'],
        ['post', '/programs/1/dry-run'], ['post', '/programs/1/proof'], ['put', '/setups/1/zero'], ['post', '/setups/1/lowered'],
        ['delete', '/setups/1/lowered'], ['get', '/logbook'], ['get', '/setups/1/logbook'], ['get', '/long-checks/'.str_repeat('0', 32)],
        ['get', '/long-checks/'.str_repeat('0', 32).'/answer'], ['delete', '/long-checks/'.str_repeat('0', 32)], ['get', '/programs/1/revisions/1'],
        ['post', '/programs/1/revisions/1/restore'], ['get', '/programs/1/compare'], ['post', '/programs/1/compare'], ['post', '/programs/1/editing'],
        ['post', '/programs/1/merge'], ['get', '/programs/1/machine'], ['put', '/settings'],
    ]);

    it('takes the right password and no other', function (): void {
        $this->post('/sign-in', ['email' => 'lead@fernhollow.example', 'password' => 'pendulum'])->assertSessionHasErrors('email');
        $this->assertGuest();
        $this->post('/sign-in', ['email' => 'lead@fernhollow.example', 'password' => 'escapement'])->assertRedirect('/');
        $this->assertAuthenticated();
        $this->post('/sign-out')->assertRedirect('/sign-in');
        $this->assertGuest();
    });

    it('slows down whoever guesses', function (): void {
        foreach (range(1, 6) as $i) {
            $this->post('/sign-in', ['email' => 'lead@fernhollow.example', 'password' => "guess {$i}"]);
        }
        $this->post(
            '/sign-in', ['email' => 'lead@fernhollow.example', 'password' => 'escapement'],
        )->assertStatus(429)->assertHeader('Retry-After')->assertSee('Too many tries. Wait');
        $this->postJson('/sign-in', ['email' => 'LEAD@fernhollow.example', 'password' => 'escapement'])->assertStatus(429)->assertJsonPath(
            'message', static fn (string $said): bool => preg_match('/^Too many tries\. Wait \d+ seconds/', $said) === 1,
        );
        $this->assertGuest();
        // Nor does it help to guess at everybody's address from one place.
        foreach (range(1, 30) as $i) {
            $this->post('/sign-in', ['email' => "somebody{$i}@fernhollow.example", 'password' => 'guess']);
        }
        $this->post('/sign-in', ['email' => 'nobody@fernhollow.example', 'password' => 'guess'])->assertStatus(429);
    });

    it('answers with the headers that keep others out', function (): void {
        $this->get('/sign-in')->assertHeader('X-Frame-Options', 'DENY')->assertHeader('X-Content-Type-Options', 'nosniff');
        expect($this->get('/sign-in')->headers->get('Content-Security-Policy'))->toContain("default-src 'self'")->not->toContain('http');
    });
});

describe('the list of parts', function (): void {
    it('shows every program with its verdict', function (): void {
        $this->actingAs(person());
        $programs = collect(props('/')['parts'])->flatMap(fn (array $part): array => $part['setups'])
            ->flatMap(fn (array $setup): array => $setup['programs'])->pluck('verdict', 'name');
        expect($programs->all())->toEqualCanonicalizing(
            [
                'O1305' => 'clear', 'O1608' => 'clear', 'O1711' => 'clear', 'O1820' => 'clear', 'O1210' => 'stop', 'O1410' => 'stop', 'O1502' => 'stop',
                'O2110' => 'clear', 'O2130' => 'clear', 'O2140' => 'clear', 'O2150' => 'stop', 'O2160' => 'stop', 'O2170' => 'stop',
                'O1935' => 'stop', 'O1306' => 'clear', 'O1610' => 'clear', 'O1702' => 'clear',
            ],
        );
    });
});

describe('checking', function (): void {
    it('answers with the result, the margin and the columns', function (): void {
        $this->actingAs(person());
        [$head, $columns] = checked(program('1210'), Demo::text('1210'));
        expect($head['result']['verdict'])->toBe('stop')
            ->and($head['scene']['stock']['max'])->toEqual([46, 31, 0])
            ->and($columns->numbers('heightZ0')[63])->toEqual(-40)
            ->and($columns->numbers('x'))->toHaveCount(count($columns->numbers('kind')))
            ->and($columns->names())->not->toContain('text');
    });

    it('takes a saved text by its revision', function (): void {
        $this->actingAs(person());
        $program = program('1210');
        $byText = $this->postJson("/programs/{$program->id}/check", ['text' => $program->latest->text])->getContent();
        expect($this->postJson("/programs/{$program->id}/check", ['revision' => 1])->assertOk()->getContent() === $byText)->toBeTrue();
        $this->postJson("/programs/{$program->id}/check", ['revision' => 2])->assertNotFound();
        $this->postJson("/programs/{$program->id}/check", [])->assertUnprocessable();
    });

    it('lets a learner try, but not save', function (): void {
        $this->actingAs(person('learner'));
        $this->postJson('/programs/'.program('1210')->id.'/check', ['text' => 'G21'])->assertOk();
        $this->postJson('/programs/'.program('1210')->id.'/revisions', ['text' => 'G21', 'base' => 1])->assertForbidden();
        $this->putJson('/setups/'.program('1210')->setup_id, [])->assertForbidden();
        $this->post('/setups/'.program('1210')->setup_id.'/programs', ['file' => UploadedFile::fake()->createWithContent('a.nc', 'G21')])->assertForbidden();
        $this->post('/parts/1/setups', ['file' => UploadedFile::fake()->createWithContent('a.json', '{}')])->assertForbidden();
    });

    it('keeps blanks and empty texts as they are', function (): void {
        $this->actingAs(person())->postJson('/programs/1/check', ['text' => ''])->assertOk();
        expect(checked(Program::findOrFail(1), "\n\n G21 X\n")[0]['result']['findings'][0]['line'])->toBe(3);
    });

    it('refuses a text over the limit, with the limit named', function (): void {
        config(['oak.largest_program' => 1024 * 1024]);
        $this->actingAs(person())->postJson(
            '/programs/1/check', ['text' => str_repeat('A', 1024 * 1024 + 1)],
        )->assertUnprocessable()->assertJsonPath('message', 'A program may be 1 MB at most.');
    });
});

describe('revisions', function (): void {
    it('saves a text with who and why, and refreshes the verdict', function (): void {
        $program = program('1210');
        $text = str_replace('G1 Z-40.', 'G1 Z-4.', Demo::text('1210'));
        $this->actingAs(person('machinist'))->postJson("/programs/{$program->id}/revisions", ['text' => $text, 'base' => 1, 'reason' => 'Point found'])
            ->assertCreated()->assertJsonPath('revision.number', 2)->assertJsonPath('revision.by', 'M. Hollow')->assertJsonPath(
                'revision.reason', 'Point found',
            );
        expect($program->refresh()->verdict)->toBe('clear')->and($program->latest->text)->toBe($text)->and($program->revisions()->count())->toBe(2);
        $this->get("/programs/{$program->id}/file")->assertOk()->assertContent($text);
    });

    it('never overwrites what somebody else saved', function (): void {
        $program = program('1305');
        $this->actingAs(person('machinist'))->postJson("/programs/{$program->id}/revisions", ['text' => 'G21 (MINE)', 'base' => 1])->assertCreated();
        $this->actingAs(person())->postJson("/programs/{$program->id}/revisions", ['text' => 'G21 (THEIRS)', 'base' => 1])
            ->assertConflict()->assertJsonPath('latest.number', 2)->assertJsonFragment(
                ['message' => 'M. Hollow saved revision 2. Your text is kept; compare the two before you save over it.'],
            );
        expect($program->revisions()->count())->toBe(2);
    });
});

describe('bringing files in', function (): void {
    it('takes a program, whatever letters its comments are in', function (): void {
        $setup = program('1305')->setup;
        $this->actingAs(person())->post(
            "/setups/{$setup->id}/programs", ['file' => UploadedFile::fake()->createWithContent('O77.nc', "G21 (FR\xC4SEN)\nM30\n")],
        )->assertRedirect();
        expect(program('77')->latest->text)->toBe("G21 (FRÄSEN)\nM30\n");
    });

    it('refuses a program, stores nothing and says why', function (UploadedFile|string|null $file, string $says): void {
        $this->actingAs(person())->post('/setups/1/programs', ['file' => $file])->assertSessionHasErrors('file');
        expect(session('errors')->first('file'))->toContain($says)->and(Program::count())->toBe(Demo::JOBS);
    })->with([
        'no file' => [null, 'Choose a program file'],
        'not text' => [fn (): UploadedFile => UploadedFile::fake()->createWithContent('a.nc', "G21\x00\x01"), 'not a text file'],
        'too large' => [fn (): UploadedFile => UploadedFile::fake()->create('a.nc', 48 * 1024 + 1), '48 MB'],
    ]);

    it('takes a setup file for a machine of the shop', function (): void {
        $part = Part::where('name', 'Hand hub')->firstOrFail();
        $this->actingAs(person())->post(
            "/parts/{$part->id}/setups", ['file' => UploadedFile::fake()->createWithContent('second side.json', Demo::file('1305'))],
        )->assertRedirect();
        $setup = $part->setups()->reorder('id', 'desc')->firstOrFail();
        expect($setup->operation)->toBe(20)->and($setup->name)->toBe('second side')->and(documentOf($setup))->not->toHaveKey('machine');
        expect(json_decode($this->get("/setups/{$setup->id}/file")->assertOk()->getContent(), true))->toEqual(json_decode(Demo::file('1305'), true));
    });

    it('names a field of a setup file that nothing reads', function (): void {
        $slip = str_replace('"centerCutting"', '"centreCutting"', Demo::file('1305'));
        $this->actingAs(person())->post('/parts/1/setups', ['file' => UploadedFile::fake()->createWithContent('a.json', $slip)])
            ->assertSessionHas('notice', 'The setup is imported. tools.2.centreCutting: There is no such field, and nothing reads it. Is centerCutting meant?');
    });

    it('refuses a setup file, stores nothing and names the field', function (string $content, string $says): void {
        $this->actingAs(person())->post(
            '/parts/1/setups', ['file' => UploadedFile::fake()->createWithContent('a.json', $content)],
        )->assertSessionHasErrors('file');
        expect(session('errors')->first('file'))->toContain($says)->and(Setup::count())->toBe(Demo::JOBS);
    })->with([
        ['{', 'not valid JSON'],
        ['{"format":"oak-setup/1","units":"mm"}', 'machine: This field is missing'],
        ['{"format":"oak-setup/1","units":"mm","machine":{"name":"Elm","kind":"mill","axes":{"X":{}}}}', 'no machine called “Elm”'],
        [fn (): string => str_replace('"end-mill"', '"saw"', Demo::file('1305')), 'tools.2.kind'],
    ]);
});

describe('the setup', function (): void {
    it('stores a change and checks every program again', function (): void {
        $setup = program('1410')->setup;
        $document = documentOf($setup);
        $document['workOffsets']['G54']['Y'] = -375;
        $this->actingAs(person())->putJson("/setups/{$setup->id}", ['document' => $document, 'machineId' => $setup->machine_id, 'version' => 1])
            ->assertOk()->assertJsonPath('version', 2);
        expect(program('1410')->verdict)->toBe('clear')->and($this->getJson("/setups/{$setup->id}/verdicts")->assertOk()->json('0.verdict'))->toBe('clear');
    });

    it('answers a change before anything is checked, and says that the verdict is still to come', function (): void {
        Queue::fake();
        $setup = program('1410')->setup;
        $this->actingAs(person())->putJson(
            "/setups/{$setup->id}", ['document' => documentOf($setup), 'machineId' => $setup->machine_id, 'version' => 1],
        )->assertOk();
        expect($this->getJson("/setups/{$setup->id}/verdicts")->json('0.verdict'))->toBeNull();
        Queue::assertPushed(RefreshVerdict::class, 1);
        // A verdict of the setup as it was is not put in the place of the one to come.
        $stale = program('1410')->load('latest', 'setup.machine');
        $setup->refresh()->update(['document' => (object) (['clearance' => 3] + documentOf($setup))]);
        app(ProgramVerdict::class)->workOut($stale);
        expect(program('1410')->verdict)->toBeNull();
        app(ProgramVerdict::class)->workOut(program('1410')->load('latest', 'setup.machine'));
        expect(program('1410')->verdict)->toBe('stop');
    });

    it('asks before it takes a setup file for the shop\'s machine where the two differ, and says in what', function (): void {
        $part = Part::where('name', 'Hand hub')->firstOrFail();
        $file = json_decode(Demo::file('1305'), true);
        $file['machine']['axes']['X']['min'] = -500;
        $file['machine']['spindle']['maxRpm'] = 6000;
        $upload = fn (): UploadedFile => UploadedFile::fake()->createWithContent('other.json', (string) json_encode($file));
        $this->actingAs(person())->post("/parts/{$part->id}/setups", ['file' => $upload()])->assertSessionHasErrors('machine');
        expect(session('errors')->first('machine'))->toContain('X minus limit −500.000 mm there, −760.000 mm here')->toContain('greatest speed 6000')
            ->and(Setup::count())->toBe(Demo::JOBS);
        $this->post("/parts/{$part->id}/setups", ['file' => $upload(), 'shopMachine' => '1'])->assertRedirect();
        expect(Setup::count())->toBe(Demo::JOBS + 1)->and(json_decode(Setup::latest('id')->first()->file(), true)['machine']['axes']['X']['min'])->toBe(-760);
    });

    it('finds a machine without an axis the program moves', function (): void {
        $setup = program('1305')->setup;
        $saw = Machine::create(
            [
                'name' => 'Sapling',
                'definition' => (object) ['name' => 'Sapling', 'kind' => 'mill', 'axes' => (object) ['X' => (object) [], 'Z' => (object) []]],
            ],
        );
        $document = documentOf($setup);
        unset($document['workOffsets']['G54']['Y']);
        $this->actingAs(person())->putJson("/setups/{$setup->id}", ['document' => $document, 'machineId' => $saw->id, 'version' => 1])->assertOk();
        expect(program('1305')->verdict)->toBe('stop');
        [$answer] = checked(program('1305'), Demo::text('1305'));
        expect(collect($answer['result']['findings'])->firstWhere('check', 'travel.no-axis')['text'])->toContain('Sapling has no Y axis');
    });

    it('refuses what is wrong, names the field, and stores nothing', function (array $body, int $status, string $says): void {
        $setup = program('1305')->setup;
        $this->actingAs(person())->putJson(
            "/setups/{$setup->id}", $body + ['machineId' => $setup->machine_id, 'version' => 1],
        )->assertStatus($status)->assertSee($says, false);
        expect($setup->refresh()->version)->toBe(1);
    })->with([
        [['document' => ['format' => 'oak-setup/1', 'units' => 'mm', 'clearance' => -2]], 422, 'clearance'],
        [['document' => ['format' => 'oak-setup/1', 'units' => 'ell']], 422, 'units'],
        [['document' => ['format' => 'oak-setup/1', 'units' => 'mm', 'workOffsets' => ['G54' => ['A' => 1]]]], 422, 'no A axis'],
        [['document' => ['format' => 'oak-setup/1', 'units' => 'mm'], 'machineId' => 999], 422, 'Choose a machine'],
        [['document' => 'all of it'], 422, 'arrived incomplete'],
        [['document' => ['format' => 'oak-setup/1', 'units' => 'mm'], 'version' => 7], 409, 'nothing was overwritten'],
    ]);

    it('puts an inch setup on a machine measured in millimetres', function (): void {
        $setup = program('1608')->setup;
        expect(json_decode($setup->file(), true)['machine']['axes']['X']['min'])->toEqualWithDelta(-760 / 25.4, 1e-6);
        // Power and torque too: a kilowatt is 1.341 hp, a newton metre 0.7376 ft lbf (Machinery's Handbook, from memory).
        $machine = $setup->machine;
        $machine->definition = (object) (['spindle' => (object) ['maxRpm' => 8000, 'power' => 7.5, 'torque' => 50]] + get_object_vars($machine->definition));
        $spindle = json_decode(Setup::join($setup->document, $machine), true)['machine']['spindle'];
        expect([$spindle['power'], $spindle['torque'], $spindle['maxRpm']])->toEqualWithDelta([7.5 * 1.341, 50 * 0.7376, 8000], 0.01);
        $core = app(SetupFile::class)->read(Setup::join($setup->document, $machine))->machine->spindle('main');
        expect([$core->power, $core->torque])->toEqualWithDelta([7.5, 50.0], 1e-6);
    });
});

describe('the profiles', function (): void {
    it('begins one as a copy, changes it, and reads with it', function (): void {
        $this->actingAs(person());
        $profile = $this->postJson('/profiles', ['base' => 'iso-mill', 'title' => 'The old control'])->assertCreated()->json();
        expect($profile['codes']['drill'])->toBe('G81')->and($profile['control']['title'])->toBe('The old control');

        $alder = Machine::where('name', 'Alder')->firstOrFail();
        $changed = [
            'control' => ['codes' => ['drill' => 'G281'], 'words' => ['peck' => 'B']] + $profile['control'], 'version' => $profile['version'],
            'machines' => [$alder->id],
        ];
        $answer = $this->putJson("/profiles/{$profile['id']}", $changed)->assertOk()->json();
        expect($answer['codes']['drill'])->toBe('G281')->and($answer['words']['peck'])->toBe('B')->and($answer['machines'])->toBe([$alder->id])
            ->and(program('1305')->refresh()->verdict)->toBe('stop');

        $this->putJson("/profiles/{$profile['id']}", $changed)->assertConflict();
        $this->putJson("/profiles/{$profile['id']}", ['machines' => [], 'version' => $answer['version']] + $changed)->assertOk();
        expect(program('1305')->refresh()->verdict)->toBe('clear');
    });

    it('refuses what no control could be, and says which field', function (array $control, string $field): void {
        $this->actingAs(person());
        $profile = $this->postJson('/profiles', ['base' => 'iso-mill', 'title' => 'A copy'])->json();
        $answer = $this->putJson(
            "/profiles/{$profile['id']}", ['control' => $control + $profile['control'], 'version' => 1, 'machines' => []],
        )->assertUnprocessable()->json();
        expect(array_key_first($answer['fields']))->toContain($field);
    })->with([
        [['codes' => ['drill' => 'X9']], 'codes.drill'], [['codes' => ['nothing' => 'G9']], 'codes.nothing'], [['words' => ['peck' => '1']], 'words.peck'],
        [['rapidPath' => 'wavy'], 'rapidPath'], [['arcTolerance' => -1], 'arcTolerance'], [['lookAheadBlocks' => 1.5], 'lookAheadBlocks'], [
            ['cyclesAreMotion' => 'yes'], 'cyclesAreMotion',
        ],
    ]);

    it('lets learners look and not touch, and gives no name twice', function (): void {
        $this->actingAs(person());
        $this->postJson('/profiles', ['base' => 'iso-mill', 'title' => 'Rotary, as its control reads'])->assertUnprocessable();
        $this->actingAs(person('learner'));
        expect(props('/profiles')['house'])->toHaveCount(7);
        $this->postJson('/profiles', ['base' => 'iso-mill', 'title' => 'Mine'])->assertForbidden();
        $this->putJson('/profiles/1', [])->assertForbidden();
    });
});

it('explains a line of the text as it stands', function (): void {
    $this->actingAs(person());
    $id = program('1711')->id;
    $answer = $this->postJson("/programs/{$id}/explain", ['text' => "G21 G54\nG0 X5.", 'line' => 2])->assertOk()->json();
    expect($answer['words'][0])->toBe(['G0', 'rapid'])->and($answer['axes'][0][1])->toContain('5.000 mm in the program');
    $this->postJson("/programs/{$id}/explain", ['text' => 'G0', 'line' => 0])->assertUnprocessable();
});

it('shows the programs that are called, and which row is whose', function (): void {
    $this->actingAs(person());
    $program = program('1711');
    [$answer, $columns] = checked($program, $program->latest->text);
    expect(array_column($answer['texts'], 'name'))->toBe(['O8100', 'O8200'])
        ->and(array_search(true, array_map(fn (int $marks): bool => ($marks & LineHeights::MOVES) !== 0, $columns->numbers('heightMarks2')), true))->toBe(2);
    $texts = $columns->numbers('text');
    $lines = $columns->numbers('textLine');
    expect(array_unique($texts))->toEqualCanonicalizing([0, 1, 2])
        ->and($lines[array_search(2, $texts, true)])->toBe(2)
        ->and(count($columns->numbers('programmedX')))->toBeGreaterThan(25);
});

describe('a proof', function (): void {
    it('is kept with the revision, and a change of what decides the motion is noticed', function (): void {
        $program = program('1305');
        $this->actingAs(person('machinist'))->postJson(
            "/programs/{$program->id}/proof", ['revision' => 1],
        )->assertOk()->assertJsonPath('proof.by', 'M. Hollow');
        $check = fn (string $text) => collect(checked($program, $text)[0]['result']['findings'])->firstWhere('check', 'offsets.changed-since-proof');
        expect($check(Demo::text('1305')))->toBeNull()
            ->and($check(str_replace('M30', "G0 X1.\nM30", Demo::text('1305')))['text'])->toContain('the program');
    });

    it('is not taken for another revision than the latest, nor from a learner', function (): void {
        $path = '/programs/'.program('1305')->id.'/proof';
        $this->actingAs(person())->postJson($path, ['revision' => 2])->assertStatus(409);
        $this->actingAs(person('learner'))->postJson($path, ['revision' => 1])->assertForbidden();
        expect(program('1305')->proof)->toBeNull();
    });
});

describe('lowering a caution', function (): void {
    beforeEach(function (): void {
        $this->text = str_replace('M30', "G0 X45. Y0.\nZ1.\nX5.\nZ25.\nM30", Demo::text('1305'));
        $this->severity = fn (): array => collect(checked(program('1305'), $this->text)[0]['result']['findings'])->pluck('severity', 'check')->all();
        $this->path = '/setups/'.program('1305')->setup_id.'/lowered';
    });

    it('makes a note of it for the setup or the whole machine, until it is raised again', function (string $on): void {
        $this->actingAs(person());
        expect(($this->severity)()['heights.rapid-low'])->toBe('caution');
        $this->postJson($this->path, ['check' => 'heights.rapid-low', 'reason' => 'nothing stands there', 'on' => $on])->assertOk();
        expect(($this->severity)()['heights.rapid-low'])->toBe('note');
        $this->deleteJson($this->path, ['check' => 'heights.rapid-low', 'on' => $on])->assertOk();
        expect(($this->severity)()['heights.rapid-low'])->toBe('caution');
    })->with(['setup', 'machine']);

    it('wants a reason, a check that exists, and a lead', function (string $who, array $body, int $status): void {
        $this->actingAs(person($who))->postJson($this->path, $body)->assertStatus($status);
    })->with([
        ['lead', ['check' => 'heights.rapid-low', 'reason' => '', 'on' => 'setup'], 422],
        ['lead', ['check' => 'heights.rapid-high', 'reason' => 'because', 'on' => 'setup'], 422],
        ['machinist', ['check' => 'heights.rapid-low', 'reason' => 'because', 'on' => 'setup'], 403],
        ['learner', ['check' => 'heights.rapid-low', 'reason' => 'because', 'on' => 'setup'], 403],
    ]);
});

it('keeps what a lead has lowered from those who may not, whichever way they send it', function (): void {
    $setup = program('1305')->setup;
    $rows = [['check' => 'heights.rapid-low', 'reason' => 'no reason at all']];
    $body = fn (int $version): array => ['version' => $version, 'machineId' => $setup->machine_id, 'document' => ['lowered' => $rows] + documentOf($setup)];
    $this->actingAs(person('machinist'))->putJson("/setups/{$setup->id}", $body(1))->assertOk();
    expect(documentOf($setup->refresh()))->not->toHaveKey('lowered');
    $file = UploadedFile::fake()->createWithContent('sly.json', (string) json_encode(['lowered' => $rows] + json_decode($setup->file(), true)));
    $this->post("/parts/{$setup->part_id}/setups", ['file' => $file])->assertSessionHasErrors('file');
    // A lead's own stays through a machinist's change.
    $this->actingAs(person())->putJson("/setups/{$setup->id}", $body(2))->assertOk();
    $this->actingAs(person('machinist'))->putJson("/setups/{$setup->id}", ['document' => ['clearance' => 3] + documentOf($setup)] + $body(3))->assertOk();
    expect(documentOf($setup->refresh())['lowered'])->toBe($rows)->and(documentOf($setup)['clearance'])->toBe(3);
});

describe('moving a zero', function (): void {
    it('stores the one offset and nothing else, unless somebody was quicker', function (): void {
        $setup = program('1305')->setup;
        $before = documentOf($setup);
        $body = ['version' => 1, 'name' => 'G54', 'units' => 'mm', 'position' => ['X' => -350, 'Y' => -190.5]];
        $this->actingAs(person('machinist'))->putJson("/setups/{$setup->id}/zero", $body)->assertOk()->assertJsonPath('version', 2);
        $before['workOffsets']['G54'] = ['X' => -350, 'Y' => -190.5, 'Z' => 0];
        expect(documentOf($setup->refresh()))->toEqual($before);
        $this->putJson("/setups/{$setup->id}/zero", $body)->assertStatus(409);
        $this->putJson("/setups/{$setup->id}/zero", ['version' => 2, 'name' => 'G57', 'units' => 'mm', 'position' => ['X' => 1]])->assertStatus(422);
        // What is seen in inches is stored in the millimetres of the setup.
        $this->putJson("/setups/{$setup->id}/zero", ['version' => 2, 'units' => 'inch', 'position' => ['X' => -14]] + $body)->assertOk();
        expect(documentOf($setup->refresh())['workOffsets']['G54']['X'])->toBe(-355.6);
        $this->putJson("/setups/{$setup->id}/zero", ['version' => 3, 'units' => null] + $body)->assertStatus(422);
        $this->actingAs(person('learner'))->putJson("/setups/{$setup->id}/zero", $body)->assertForbidden();
    });
});

it('tells what every offset mistake would lead to', function (): void {
    $rows = collect(
        $this->actingAs(person('learner'))->postJson('/programs/'.program('1305')->id.'/offsets', ['text' => Demo::text('1305')])->assertOk()->json(),
    );
    expect($rows->where('offset', 'H1')->pluck('what')->all())->toContain('0', 'opposite sign', 'ten times', 'a tenth')
        ->and($rows->firstWhere('what', 'ten times')['text'])->toContain('limit');
});

it('answers an edit of a long program as if it had read all of it', function (): void {
    $lines = "G21 G17 G40 G49 G80 G90 G94\nT1 M6\nG54 G0 X0. Y0.\nS2600 M3\nG43 H1 Z25.\nG1 Z5. F300.\n".str_repeat(
        "X10.125 Y-3.5 F400.\nX-10.125 Y3.5\n", 4500,
    )."G0 Z25.\nM30\n";
    $path = '/programs/'.program('1305')->id.'/check';
    $this->actingAs(person());
    $this->postJson($path, ['text' => $lines])->assertOk();
    $edited = substr_replace($lines, 'X11.125', (int) strpos($lines, 'X10.125', 90_000), 7);
    $again = $this->postJson($path, ['text' => $edited])->assertOk()->getContent();
    $this->actingAs(person('machinist'));
    expect($again === $this->postJson($path, ['text' => $edited])->getContent())->toBeTrue();
});

describe('a change of text', function (): void {
    beforeEach(function (): void {
        $this->actingAs(person('learner'));
        $this->path = '/programs/'.program('1305')->id.'/transform';
    });

    it('is told as edits, counted in characters, and stores nothing', function (): void {
        $text = "(ÄÖÜ) F100.\nF200. (F300.)";
        $this->postJson(
            $this->path, ['text' => $text, 'name' => 'change-words', 'values' => ['letter' => 'F', 'how' => 'times', 'by' => 0.5]],
        )->assertOk()->assertExactJson(['edit' => [
            'line' => 1, 'column' => 8, 'length' => 4, 'text' => '50.', 'label' => 'Change words', 'also' => [
                ['line' => 2, 'column' => 2, 'length' => 4, 'text' => '100.'],
            ],
        ]]);
        expect(program('1305')->latest->number)->toBe(1);
    });

    it('says so where there is nothing to change, or where it cannot be done', function (): void {
        $this->postJson($this->path, ['text' => 'G0', 'name' => 'change-words'])->assertOk()->assertExactJson(['edit' => null]);
        $this->postJson($this->path, ['text' => 'X1.', 'name' => 'convert-units'])->assertStatus(422)->assertJsonPath(
            'message', 'The program never states its units. State them first, so that what is converted is certain.',
        );
        $this->postJson($this->path, ['text' => 'X1.', 'name' => 'turn-to-gold'])->assertNotFound();
    });
});

it('lifts a program for a dry run and says whether that fits', function (): void {
    $path = '/programs/'.program('1305')->id.'/dry-run';
    $dry = $this->actingAs(person('machinist'))->postJson($path, ['text' => Demo::text('1305'), 'lift' => 150, 'units' => 'mm'])->assertOk()->json();
    expect($dry['overruns'])->toBe([])->and($dry['text'])->toContain('(DRY RUN - RAISED BY 150.000 MM')->and($dry['seconds'])->toBeGreaterThan(60);
    expect(
        $this->postJson($path, ['text' => Demo::text('1305'), 'lift' => 250, 'units' => 'mm'])->json('overruns')[0],
    )->toContain('Z runs past its plus limit');
    expect($this->postJson($path, ['text' => Demo::text('1305'), 'lift' => 150 / 25.4, 'units' => 'inch'])->json('text'))->toContain('RAISED BY 150.000 MM');
    $this->postJson($path, ['text' => 'G0', 'lift' => 0, 'units' => 'mm'])->assertStatus(422);
});

it('says that it is up without asking any other host', function (): void {
    $this->get('/up')->assertOk()->assertContent('Oak Trace is up.');
});

it('converts a setup to inches and back, and its check says the same', function (): void {
    $this->actingAs(person('machinist'));
    $setup = program('1502')->setup;
    $turned = $this->postJson("/setups/{$setup->id}/in-units", ['document' => $setup->document, 'units' => 'inch'])->assertOk()->json('document');
    $x = documentOf($setup)['workOffsets']['G54']['X'];
    expect($turned['units'])->toBe('inch')->and($turned['workOffsets']['G54']['X'])->toEqualWithDelta($x / 25.4, 1e-6);
    $program = program('1502');
    // But for the note that the program is in other units than the setup.
    $found = static fn (): array => array_values(array_filter(array_map(
        static fn (array $finding): array => [$finding['check'], $finding['line']],
        checked($program->refresh(), $program->latest->text)[0]['result']['findings'],
    ), static fn (array $finding): bool => $finding[0] !== 'state.units'));
    $before = $found();
    $this->putJson("/setups/{$setup->id}", ['document' => $turned, 'version' => $setup->version, 'machineId' => $setup->machine_id])->assertOk();
    expect($found())->toBe($before)->and($before)->not->toBe([]);
});

it('converts nothing it cannot read', function (array $sent, int $status): void {
    $this->actingAs(person('machinist'))->postJson('/setups/1/in-units', $sent)->assertStatus($status);
})->with([
    'no units' => [['document' => ['units' => 'mm']], 422],
    'units nobody knows' => [['document' => ['units' => 'mm'], 'units' => 'feet'], 422],
    'no document' => [['units' => 'inch'], 422],
    'a solid that is none' => [['document' => ['units' => 'mm', 'target' => ['stl' => 'bm90aGluZw==']], 'units' => 'inch'], 422],
]);
