<?php

declare(strict_types=1);

use App\Checking\ProgramVerdict;
use App\Database\ShopSessions;
use App\Jobs\RefreshVerdict;
use App\Logbook\Difference;
use App\Logbook\SetupChange;
use App\LongWork\CheckState;
use App\LongWork\LongChecks;
use App\LongWork\Slots;
use App\Models\LogEntry;
use App\Models\LongCheck;
use App\Models\Machine;
use App\Models\Part;
use App\Models\Program;
use App\Models\Role;
use App\Models\Setup;
use App\Models\User;
use Illuminate\Database\QueryException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Tests\Core\Demo;

/** Something another person does between the moment a request has its records and the moment it stores. */
function meanwhile(string $model, callable $does): void
{
    $done = false;
    $model::retrieved(static function () use (&$done, $does): void {
        if (! $done) {
            $done = true;
            $does();
        }
    });
}

/** Stores another zero, as somebody at the setup page would. */
function zero(Setup $setup, string $axis, float $value): void
{
    $document = documentOf($setup->refresh());
    $document['workOffsets']['G54'][$axis] = $value;
    DB::table('setups')->where('id', $setup->id)->update(['document' => json_encode($document), 'version' => DB::raw('version + 1')]);
}

describe('what is stored', function (): void {
    it('is not put back by a caution that is made a note meanwhile', function (string $on): void {
        $setup = program('1305')->setup;
        meanwhile(Setup::class, static fn () => zero($setup, 'X', -377.25));
        $this->actingAs(person())->postJson(
            "/setups/{$setup->id}/lowered", ['check' => 'heights.rapid-low', 'reason' => 'low jaws', 'on' => $on],
        )->assertOk()->assertJsonPath('version', 3);
        expect(documentOf($setup->refresh())['workOffsets']['G54']['X'])->toBe(-377.25)
            ->and(
                $on === 'setup' ? documentOf($setup)['lowered'] : json_decode((string) json_encode($setup->machine->definition), true)['lowered'],
            )->toHaveCount(1);
        $this->deleteJson("/setups/{$setup->id}/lowered", ['check' => 'heights.rapid-low', 'on' => $on])->assertOk();
        expect(documentOf($setup->refresh())['workOffsets']['G54']['X'])->toBe(-377.25);
    })->with(['setup', 'machine']);

    it('is refused rather than written over where a zero was dragged from what is old', function (): void {
        $setup = program('1305')->setup;
        meanwhile(Setup::class, static fn () => zero($setup, 'X', -377.25));
        $this->actingAs(person())->putJson(
            "/setups/{$setup->id}/zero", ['version' => 1, 'name' => 'G54', 'units' => 'mm', 'position' => ['X' => 1, 'Y' => 2, 'Z' => 3]],
        )->assertConflict();
        expect(documentOf($setup->refresh())['workOffsets']['G54'])->toMatchArray(['X' => -377.25]);
    });

    it('keeps the verdict of the newest, whichever answer comes last', function (): void {
        Queue::fake();
        $old = program('1305')->load('latest', 'setup.machine');
        $this->actingAs(person())->postJson("/programs/{$old->id}/revisions", ['text' => 'G47', 'base' => 1])->assertCreated();
        $verdicts = app(ProgramVerdict::class);
        $verdicts->workOut(program('1305')->load('latest', 'setup.machine'));
        $verdicts->workOut($old);
        expect($old->refresh()->verdict)->toBe('stop');
        // Nor that of another machine.
        $old = program('1608')->load('latest', 'setup.machine');
        Machine::whereKey($old->setup->machine_id)->update(['definition' => json_encode(['lowered' => []] + (array) $old->setup->machine->definition)]);
        $old->update(['verdict' => null]);
        $verdicts->workOut($old);
        expect(program('1608')->verdict)->toBeNull();
        // However often it was asked for: what has been worked out is not worked out again.
        $verdicts->workOut(program('1608')->load('latest', 'setup.machine'));
        $asked = 0;
        DB::listen(static function ($query) use (&$asked): void {
            $asked += str_starts_with($query->sql, 'update') ? 1 : 0;
        });
        (new RefreshVerdict($old->id))->handle($verdicts);
        expect($asked)->toBe(0)->and(program('1608')->verdict)->not->toBeNull();
    });

    it('gets its verdict asked for again where the queue was lost', function (): void {
        Queue::fake();
        $this->actingAs(person());
        Program::whereKey(program('1305')->id)->update(['verdict' => null]);
        $this->get('/')->assertOk();
        Queue::assertNothingPushed();
        $this->travel(11)->minutes();
        $this->get('/')->assertOk();
        $this->get('/')->assertOk();
        Queue::assertPushed(RefreshVerdict::class, 1);
    });

    it('is stored before its verdict is worked out, so that what takes for ever is stored too', function (): void {
        Queue::fake();
        $program = program('1305');
        $forever = "G21\n#1=0\nWHILE [#1 LT 99999999] DO1\n#2=#1\n#1=#1+1\nEND1\nM30";
        $began = microtime(true);
        $this->actingAs(person())->postJson("/programs/{$program->id}/revisions", ['text' => $forever, 'base' => 1])->assertCreated();
        expect(microtime(true) - $began)->toBeLessThan(2.0)->and($program->refresh()->verdict)->toBeNull();
    });
});

describe('the server', function (): void {
    beforeEach(fn () => $this->actingAs(person('machinist')));

    it('hands a short text that runs long to the queue, and ends it there', function (): void {
        Queue::fake();
        Storage::fake();
        config(['oak.wait_seconds' => 0]);
        $program = program('1305');
        $this->postJson(
            "/programs/{$program->id}/check", ['text' => "G21\n#1=0\nWHILE [#1 LT 200000] DO1\n#2=#1\n#1=#1+1\nEND1\nM30"],
        )->assertStatus(202)->assertJsonPath('state', 'waiting');
        config(['oak.wait_seconds' => 4]);
        $this->postJson("/programs/{$program->id}/check", ['text' => Demo::text('1305')])->assertOk();
    });

    it('hands a run to the queue by its rows, however few lines ask for them, and not a text for its bytes', function (): void {
        Queue::fake();
        config(['oak.long_run' => 20_000, 'oak.wait_seconds' => 300]);
        $program = program('1305');
        $loop = static fn (int $turns): string => "G21\n#1=0\nWHILE [#1 LT {$turns}] DO1\nG1 X#1 F100.\n#1=#1+1\nEND1\nM30";
        $ask = fn (string $text) => $this->postJson("/programs/{$program->id}/check", ['text' => $text]);
        $ask($loop(19_000))->assertOk();
        $ask($loop(29_000))->assertStatus(202)->assertJsonPath('state', 'waiting');
        // A reading that goes on from one before knows what it had by then.
        $comments = str_repeat('('.str_repeat('A', 100).")\n", 15_000);
        $ask("{$comments}G21\n".str_repeat("G1 X1. F100.\nX2.\n", 2000))->assertOk();
        $ask("{$comments}G21\n".str_repeat("G1 X1. F100.\nX2.\n", 2000).$loop(29_000))->assertStatus(202);
        Queue::assertPushed(App\Jobs\CheckLongProgram::class, 2);
    });

    it('ends a check when a newer one of the same tab has come, and not for another tab', function (): void {
        config(['oak.wait_seconds' => 600]);
        $program = program('1305');
        $loop = "G21\n#1=0\nWHILE [#1 LT 60000] DO1\n#2=#1\n#1=#1+1\nEND1\nM30";
        $newer = static fn (string $tab) => static fn () => App\LongWork\Waiting::now($program->id, person('machinist')->id.':'.$tab);
        /** @var SplStack<string> $next tab of the newer question */
        $next = new SplStack;
        // The newer question comes while the reading is under way: at its first look.
        Illuminate\Support\Facades\Event::listen(Illuminate\Cache\Events\CacheHit::class, static function ($event) use ($newer, $next): void {
            if (! $next->isEmpty() && str_starts_with($event->key, 'newest-question')) {
                $newer($next->pop())();
            }
        });
        $next->push('one');
        $this->postJson(
            "/programs/{$program->id}/check", ['text' => $loop], ['X-Oak-Tab' => 'one'],
        )->assertConflict()->assertJsonPath('message', 'A newer text of yours is being checked instead.');
        $next->push('two');
        $this->postJson("/programs/{$program->id}/check", ['text' => $loop], ['X-Oak-Tab' => 'one'])->assertOk();
    });

    it('lets nobody have more checks at work than their share', function (): void {
        config(['oak.checks_of_one_person' => 1, 'oak.slot_wait_seconds' => 0]);
        $program = program('1305');
        $taken = fopen(Slots::path((string) Auth::id(), 1), 'c');
        flock($taken, LOCK_EX);
        $this->postJson("/programs/{$program->id}/check", ['text' => 'G21'])->assertStatus(429)->assertJsonPath(
            'message', 'Several of your checks are running. This one is waiting.',
        )->assertHeader('Retry-After', '1');
        $this->actingAs(person('learner'))->postJson("/programs/{$program->id}/check", ['text' => 'G21'])->assertOk();
        fclose($taken);
        $this->actingAs(person('machinist'))->postJson("/programs/{$program->id}/check", ['text' => 'G21'])->assertOk();
    });

    it('begins each transaction with a write, so that two who read first do not refuse each other', function (): void {
        $path = (string) tempnam(sys_get_temp_dir(), 'oak');
        config(
            [
                'database.connections.one' => ['database' => $path, 'busy_timeout' => 50] + config('database.connections.sqlite'),
                'database.connections.two' => ['database' => $path, 'busy_timeout' => 50] + config('database.connections.sqlite'),
            ],
        );
        DB::connection('one')->statement('create table figures (value integer)');
        DB::connection('one')->table('figures')->insert(['value' => 1]);
        DB::connection('one')->beginTransaction();
        // The second waits its turn at the door, and is not let in to read what is about to change.
        expect(
            static fn () => DB::connection('two')->transaction(static fn () => DB::connection('two')->table('figures')->value('value')),
        )->toThrow(PDOException::class, 'locked');
        DB::connection('one')->table('figures')->update(['value' => 2]);
        DB::connection('one')->commit();
        expect(DB::connection('two')->transaction(static fn () => DB::connection('two')->table('figures')->value('value')))->toBe(2);
        array_map(unlink(...), glob($path.'*'));
    });

    it('puts no text of a shop into its log', function (): void {
        Log::spy();
        try {
            DB::table('revisions')->insert(
                ['program_id' => 999999, 'number' => 1, 'text' => 'G21 (SECRET)', 'user_id' => 1, 'reason' => '', 'created_at' => now(), 'nothing' => 1],
            );
        } catch (QueryException $e) {
            report($e);
        }
        Log::shouldHaveReceived('error')->once()->withArgs(
            static fn (string $message, array $more): bool => str_contains($message, 'nothing') && ! str_contains($message.json_encode($more), 'SECRET')
        );
        Log::shouldNotHaveReceived('log');
    });

    it('keeps a log for each day, and each for two weeks', function (): void {
        expect(config('logging.channels.daily'))->toMatchArray(['driver' => 'daily', 'days' => 14])
            ->and(file_get_contents(base_path('.env.example')))->toContain("LOG_CHANNEL=daily\n");
    });

    it('says what has happened where the disk is full, and keeps nothing in part', function (): void {
        config(['oak.long_run' => 5]);
        $full = storage_path('framework/testing/full');
        @mkdir($full, 0775, true);
        file_put_contents("{$full}/long-checks", 'in the way');
        config(['filesystems.disks.local.root' => $full]);
        Storage::forgetDisk('local');
        $program = program('1305');
        $this->postJson("/programs/{$program->id}/check", ['text' => Demo::text('1305')])->assertStatus(507)->assertJsonPath(
            'message', static fn (string $said): bool => str_contains($said, 'disk') && str_contains($said, 'Nothing was saved'),
        );
        expect(LongCheck::count())->toBe(0);
        unlink("{$full}/long-checks");
        DB::listen(static fn () => throw new PDOException('SQLSTATE[HY000]: General error: 13 database or disk is full'));
        $this->postJson("/programs/{$program->id}/revisions", ['text' => 'G21', 'base' => 1])->assertStatus(507);
    });

    it('is not said to be refused where only the session could not be written down', function (): void {
        config(['session.driver' => 'database']);
        $program = program('1305');
        $this->post('/sign-in', ['email' => person('machinist')->email, 'password' => 'escapement'])->assertRedirect('/');
        $session = $this->app['session']->getId();
        DB::unprepared("create trigger full before update on sessions begin select raise(fail, 'database or disk is full'); end");
        Log::spy();
        $save = fn (string $reason = '') => $this->withCredentials()->withCookie(config('session.cookie'), $session)->postJson(
            "/programs/{$program->id}/revisions", ['text' => 'G21', 'base' => 1, 'reason' => $reason],
        );
        $save()->assertCreated()->assertJsonPath('revision.number', 2);
        Log::shouldHaveReceived('error')->once();
        // Asked again, because the answer did not arrive: it is the same revision. With another reason it is another save.
        $save()->assertCreated()->assertJsonPath('revision.number', 2);
        $save('once more')->assertConflict();
        expect($program->revisions()->count())->toBe(2);
        DB::unprepared('drop trigger full');
        // Nobody is taken for signed in whose session is nowhere.
        DB::unprepared("create trigger full before insert on sessions begin select raise(fail, 'database or disk is full'); end");
        expect(fn () => (new ShopSessions(DB::connection(), 'sessions', 60))->write('new', ''))->toThrow(QueryException::class);
    })->skip(fn (): bool => DB::getDriverName() !== 'sqlite', 'the full disk is made with a trigger of SQLite');

    it('checks no text but the one it was asked about', function (): void {
        Queue::fake();
        Storage::fake();
        config(['oak.long_run' => 5]);
        $program = program('1305');
        $check = LongCheck::findOrFail($this->postJson("/programs/{$program->id}/check", ['text' => Demo::text('1305')])->json('check'));
        expect(Storage::allFiles('long-checks'))->toBe(["long-checks/{$check->id}.nc"]);
        Storage::put("long-checks/{$check->id}.nc", substr(Demo::text('1305'), 0, 200));
        Queue::pushed(App\Jobs\CheckLongProgram::class)->first()->handle(app(OakTrace\Core\Formats\SetupFile::class));
        expect($check->refresh()->state)->toBe(CheckState::Failed)->and($check->message)->toContain('arrived incomplete');
    });
});

describe('a long check', function (): void {
    beforeEach(function (): void {
        Queue::fake();
        Storage::fake();
        config(['oak.long_run' => 5, 'queue.default' => 'database']);
        $this->program = program('1305');
        $this->ask = fn (string $who): string => $this->actingAs(person($who))->postJson(
            "/programs/{$this->program->id}/check", ['text' => Demo::text('1305')],
        )->json('check');
    });

    it('is stopped by who asked, or by a lead, and not while a colleague waits for it', function (): void {
        $check = ($this->ask)('machinist');
        $this->actingAs(person('learner'))->deleteJson("/long-checks/{$check}")->assertForbidden();
        ($this->ask)('learner');
        $this->actingAs(person('machinist'))->deleteJson("/long-checks/{$check}")->assertOk()->assertJsonPath('state', 'waiting')->assertJsonPath(
            'message', 'T. Sapling is waiting for this check too, so it goes on.',
        );
        $this->actingAs(person())->deleteJson("/long-checks/{$check}")->assertJsonPath('state', 'waiting');
        $this->travel(30)->seconds();
        $this->actingAs(person())->deleteJson("/long-checks/{$check}")->assertOk()->assertJsonPath('state', 'stopped');
        expect(LongChecks::find($this->program, Demo::text('1305'), null, false)->state)->toBe(CheckState::Stopped);
    });

    it('says why it has not begun', function (): void {
        $check = ($this->ask)('machinist');
        $this->getJson("/long-checks/{$check}")->assertJsonPath(
            'message', 'No queue worker is running on the server. This check starts as soon as one does.',
        );
        App\LongWork\QueueLine::seen();
        $this->getJson("/long-checks/{$check}")->assertJsonPath('message', 'Waits for a queue worker to be free.');
        LongCheck::create(['id' => str_repeat('a', 32), 'program_id' => $this->program->id, 'state' => CheckState::Running, 'share' => 0, 'message' => '']);
        $this->getJson("/long-checks/{$check}")->assertJsonPath('message', 'Waits for one check before it.');
    });
});

describe('what comes in', function (): void {
    beforeEach(fn () => $this->actingAs(person()));

    it('is UTF-8, or is refused and breaks no page', function (): void {
        $setup = program('1305')->setup;
        $this->post("/setups/{$setup->id}/programs", ['file' => UploadedFile::fake()->createWithContent("FR\xC4S.nc", 'G21')])->assertUnprocessable();
        $this->post('/programs/'.program('1305')->id.'/revisions', ['text' => 'G21', 'base' => 1, 'reason' => "M\xFCll"], ['Accept' => 'application/json'])
            ->assertUnprocessable()
            ->assertJsonPath('message', static fn (string $said): bool => str_contains($said, 'reason') && str_contains($said, 'UTF-8'));
        $this->call(
            'POST', '/profiles', server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            content: "{\"base\": \"integer-mill\", \"title\": \"M\xFCll\"}",
        )->assertUnprocessable();
        expect(props('/')['parts'])->toHaveCount(Demo::JOBS)->and(Program::count())->toBe(Demo::JOBS);
        $this->post("/setups/{$setup->id}/programs", ['file' => UploadedFile::fake()->createWithContent('FRÄS.nc', "G21 (FR\xC4SEN)\n")])->assertRedirect();
        expect(Program::where('name', 'FRÄS')->firstOrFail()->latest->reason)->toContain('Windows-1252');
    });

    it('is refused by its size before it is taken apart', function (string $path, int $size, int $status): void {
        $this->call(
            'POST', $path, server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json', 'CONTENT_LENGTH' => (string) $size],
            content: '{}',
        )->assertStatus($status);
    })->with([
        'the sign-in' => ['/sign-in', 60_000_000, 413], 'a setup file' => ['/parts/1/setups', 20_000_000, 413],
        'a program' => ['/programs/1/check', 7_000_000, 422], 'a program too large' => ['/programs/1/check', 80_000_000, 413],
    ]);

    it('has finite numbers that can be lengths, and a bore that fits its bar', function (array $changes, string $field): void {
        $setup = program('1305')->setup;
        $body = json_encode(['document' => array_replace_recursive(documentOf($setup), $changes), 'machineId' => $setup->machine_id, 'version' => 1]);
        $this->call(
            'PUT', "/setups/{$setup->id}", server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            content: str_replace('"HUGE"', '1e308', $body),
        )->assertUnprocessable()->assertSee($field);
        expect($setup->refresh()->version)->toBe(1);
    })->with([
        'an offset' => [['workOffsets' => ['G54' => ['X' => 'HUGE']]], 'workOffsets.G54.X'],
        'a length' => [['offsets' => ['H' => ['1' => ['geometry' => 'HUGE']]]], 'offsets.H.1'],
        'a tool' => [['tools' => [['diameter' => 'HUGE']]], 'tools'],
        'a bore' => [
            ['stock' => ['shape' => 'cylinder', 'axis' => 'Z', 'diameter' => 10, 'bore' => 12, 'length' => 20]],
            'stock.bore: The bore (12) is no smaller than the diameter (10)',
        ],
    ]);

    it('is found under no number that is none', function (string $path): void {
        $this->get($path)->assertNotFound();
        $said = $this->getJson($path)->assertNotFound()->assertHeader('X-Frame-Options', 'DENY')->json('message');
        expect($said)->not->toContain('\\')->not->toContain('Model')->toContain('There is no such page');
    })->with(['/programs/99999999999999999999', '/setups/x', '/programs/4711', '/storage/a', '/nowhere', '/long-checks/x']);

    it('is answered in plain words where Oak Trace fails', function (): void {
        config(['app.debug' => false]);
        Illuminate\Support\Facades\Route::get('/fails', static fn () => throw new RuntimeException('secret of a class'))->middleware('web');
        $this->get('/fails')->assertStatus(500)->assertHeader('Content-Security-Policy')->assertDontSee('secret')->assertSee('Oak Trace failed');
    });
});

describe('the logbook', function (): void {
    it('keeps who changed which field of a setup, from what to what', function (): void {
        $setup = program('1410')->setup;
        $document = documentOf($setup);
        $document['workOffsets']['G54']['Y'] = -375;
        $document['offsets']['H']['1']['wear'] = 0.02;
        $document['tools'][0]['diameter'] = 7.5;
        $this->actingAs(person('machinist'))->putJson(
            "/setups/{$setup->id}", ['document' => $document, 'machineId' => $setup->machine_id, 'version' => 1],
        )->assertOk();
        $entries = collect(props("/setups/{$setup->id}/logbook")['entries']);
        expect($entries->pluck('by')->unique()->all())->toBe(['M. Hollow'])
            ->and($entries->firstWhere('field', 'G54 Y')['is'])->toBe('-375')->and($entries->firstWhere('field', 'H1 wear')['is'])->toBe('0.02')
            ->and($entries->pluck('field')->all())->toContain('T1 diameter')->toHaveCount(3)
            ->and($entries->first()['subject'])->toBe('Dial ring segment, op 20 Long fixture plate');
    });

    it('keeps sign-ins and roles, for a lead alone to see', function (): void {
        $this->post('/sign-in', ['email' => 'lead@fernhollow.example', 'password' => 'wrong one']);
        $this->post('/sign-in', ['email' => 'lead@fernhollow.example', 'password' => 'escapement']);
        person('learner')->update(['role' => Role::Machinist]);
        expect(
            collect(props('/logbook')['entries'])->map(static fn (array $entry): array => [$entry['kind'], $entry['by'], $entry['was'], $entry['is']])->all(),
        )->toBe([
            ['role', 'J. Fern', 'learner', 'machinist'], ['sign-in', 'J. Fern', null, '127.0.0.1'], ['refused', 'J. Fern', null, '127.0.0.1'],
        ]);
        $this->post('/sign-out');
        $this->actingAs(person('machinist'));
        expect(props('/logbook')['entries'])->toBe([])->and(LogEntry::where('kind', 'sign-out')->sole()->by)->toBe('J. Fern');
    });

    it('tells who changed what since a program was proven', function (): void {
        $program = program('1608');
        $setup = $program->setup;
        $this->actingAs(person())->postJson("/programs/{$program->id}/proof", ['revision' => 1])->assertOk();
        $document = documentOf($setup);
        $number = array_key_first($document['offsets']['H']);
        $document['offsets']['H'][$number]['geometry'] += 0.01;
        $this->actingAs(person('machinist'))->putJson(
            "/setups/{$setup->id}", ['document' => $document, 'machineId' => $setup->machine_id, 'version' => 1],
        )->assertOk();
        [$head] = checked($program->refresh(), Demo::text('1608'));
        $said = collect($head['result']['findings'])->firstWhere('check', 'offsets.changed-since-proof')['text'];
        expect($said)->toContain('by J. Fern: H'.$number.' from')->toContain('(by M. Hollow, ');
    });

    it('lets no program be proven that has a stop, or whose verdict is not there yet', function (): void {
        $this->actingAs(person())->postJson('/programs/'.program('1210')->id.'/proof', ['revision' => 1])->assertConflict()->assertJsonPath(
            'message', 'This program has errors. Correct it or the setup, then prove it.',
        );
        Program::whereKey(program('1305')->id)->update(['verdict' => null]);
        $this->postJson('/programs/'.program('1305')->id.'/proof', ['revision' => 1])->assertConflict();
        expect(Program::whereNotNull('proof')->count())->toBe(0);
    });

    it('finds what two documents differ in, wherever a tool stands in the list', function (): void {
        $read = static fn (string $json): object => json_decode($json, false);
        expect(
            Difference::between(
                $read('{"tools":[{"number":1,"name":"a"},{"number":2,"name":"b"}]}'),
                $read('{"tools":[{"number":2,"name":"c"},{"number":1,"name":"a"}],"safeRadius":5}'),
            ),
        )
            ->toBe([['T2 name', 'b', 'c'], ['safe radius', null, '5']]);
    });
});

describe('signing in', function (): void {
    it('takes no malformed field for a fault of the server', function (array $fields): void {
        $this->postJson('/sign-in', $fields)->assertUnprocessable();
    })->with([[['email' => ['a'], 'password' => 'b']], [['email' => 'a@b.example', 'password' => ['b']]], [[]], [
        ['email' => 'a@b.example', 'password' => str_repeat('b', 2000)],
    ]]);

    it('works out a password also for an address that nobody has', function (): void {
        Illuminate\Support\Facades\Hash::spy()->shouldReceive('check')->twice()->andReturn(false)->getMock()->shouldReceive('make')->andReturn('a hash');
        $this->post('/sign-in', ['email' => 'lead@fernhollow.example', 'password' => 'x']);
        $this->post('/sign-in', ['email' => 'nobody@fernhollow.example', 'password' => 'x']);
        expect(User::where('email', 'nobody@fernhollow.example')->exists())->toBeFalse();
    });

    it('leaves nothing behind to go back to', function (): void {
        $this->actingAs(person())->get('/')->assertHeader('Cache-Control', 'no-store, private');
        $this->post('/sign-out', [], ['X-Inertia' => 'true'])->assertStatus(409)->assertHeader('X-Inertia-Location', '/sign-in');
    });
});

it('changes a setup in one way only', function (): void {
    $setup = program('1305')->setup;
    $changes = app(SetupChange::class);
    $now = $changes->touch($setup, static fn (object $document): object => (object) (['clearance' => 9] + (array) $document));
    expect($now->version)->toBe(2)->and($changes->replace($setup, 1, $setup->document, $setup->machine))->toBeNull()
        ->and(Part::count())->toBe(Demo::JOBS);
});
