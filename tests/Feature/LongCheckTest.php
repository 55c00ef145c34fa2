<?php

declare(strict_types=1);

use App\Jobs\CheckLongProgram;
use App\Jobs\RefreshVerdict;
use App\LongWork\CheckState;
use App\LongWork\LongChecks;
use App\LongWork\Progress;
use App\LongWork\Stopped;
use App\Models\LongCheck;
use App\Models\Program;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use OakTrace\Core\Formats\PackedColumns;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Language\Program as Text;
use OakTrace\Core\Verification;
use Tests\Core\Demo;

beforeEach(function (): void {
    Storage::fake();
    config(['oak.long_run' => 50, 'oak.large_text' => 1000]);
    $this->program = program('1305');
    $this->ask = fn (string $text) => $this->postJson("/programs/{$this->program->id}/check", ['text' => $text]);
    $this->actingAs(person('machinist'));
});

it('checks a long run on the queue, tells how far it is, and keeps the answer by its content', function (): void {
    Queue::fake();
    $told = ($this->ask)(Demo::text('1305'))->assertStatus(202)->assertJson(['state' => 'waiting', 'share' => 0])->json();
    ($this->ask)(Demo::text('1305'))->assertStatus(202)->assertJsonPath('check', $told['check']);
    Queue::assertPushed(CheckLongProgram::class, 1);
    $this->getJson("/long-checks/{$told['check']}/answer")->assertNotFound();
    Queue::pushed(CheckLongProgram::class)->first()->handle(app(SetupFile::class));
    $this->getJson("/long-checks/{$told['check']}")->assertOk()->assertJson(['state' => 'done', 'share' => 1]);
    $answer = $this->get("/long-checks/{$told['check']}/answer")->assertOk()->getContent();
    expect(PackedColumns::read($answer)[0]['result']['verdict'])->toBe('clear');
    // The same again comes at once, with no work done.
    expect(($this->ask)(Demo::text('1305'))->assertOk()->getContent() === $answer)->toBeTrue();
    Queue::assertPushed(CheckLongProgram::class, 1);
    // Another setup, other units or another text is another check.
    $setup = $this->program->setup;
    $setup->update(['document' => (object) (['clearance' => 9] + (array) $setup->document)]);
    ($this->ask)(Demo::text('1305'))->assertStatus(202);
    person('machinist')->update(['settings' => ['units' => 'inch']]);
    $this->actingAs(person('machinist'));
    ($this->ask)(Demo::text('1305'))->assertStatus(202);
    Queue::assertPushed(CheckLongProgram::class, 3);
});

it('answers as a short one would be answered', function (): void {
    $long = ($this->ask)(Demo::text('1305'))->assertOk()->getContent();
    LongCheck::sole()->forget();
    config(['oak.long_run' => 100_000]);
    expect(($this->ask)(Demo::text('1305'))->assertOk()->getContent() === $long)->toBeTrue();
});

it('stops when it is told to, before it begins and on the way, and begins again when it is asked for again', function (): void {
    Queue::fake();
    $check = ($this->ask)(Demo::text('1305'))->json('check');
    $this->deleteJson("/long-checks/{$check}")->assertOk()->assertJsonPath('state', 'stopped');
    $job = Queue::pushed(CheckLongProgram::class)->first();
    $job->handle(app(SetupFile::class));
    expect(LongCheck::find($check)->state)->toBe(CheckState::Stopped)->and(Storage::exists("long-checks/{$check}.oakc"))->toBeFalse();

    ($this->ask)(Demo::text('1305'))->assertStatus(202)->assertJsonPath('state', 'waiting');
    Queue::assertPushed(CheckLongProgram::class, 2);
    LongCheck::whereKey($check)->update(['state' => CheckState::Stopped]);
    expect(fn () => (new ReflectionMethod($job, 'tell'))->invoke($job, 0.5))->toThrow(Stopped::class);
});

it('says so where it fails', function (): void {
    Queue::fake();
    $check = ($this->ask)(Demo::text('1305'))->json('check');
    Queue::pushed(CheckLongProgram::class)->first()->failed(new RuntimeException('out of memory'));
    $this->getJson("/long-checks/{$check}")->assertJson(['state' => 'failed'])->assertJsonMissing(['message' => '']);
    ($this->ask)(Demo::text('1305'))->assertStatus(202)->assertJsonPath('state', 'waiting');
});

it('notices that the worker has gone in the middle of it', function (): void {
    Queue::fake();
    $check = ($this->ask)(Demo::text('1305'))->json('check');
    LongCheck::whereKey($check)->update(['state' => CheckState::Running]);
    $this->travel(4)->minutes();
    $this->getJson("/long-checks/{$check}")->assertJson(['state' => 'running']);
    $this->travel(2)->minutes();
    $this->getJson("/long-checks/{$check}")->assertJson(
        ['state' => 'failed', 'message' => 'The worker of this check stopped. Ask for it again.'],
    );
    ($this->ask)(Demo::text('1305'))->assertJsonPath('state', 'waiting');
    Queue::assertPushed(CheckLongProgram::class, 2);
});

it('tells how far the reading is down the lines', function (): void {
    $shares = [];
    $lines = 40_000;
    $progress = new Progress($lines, function (float $share) use (&$shares): void {
        $shares[] = $share;
    });
    (new ReflectionProperty($progress, 'told'))->setValue($progress, 0);
    Verification::of(
        Text::fromText("G21\n".str_repeat("G0 X1.\nX2.\n", $lines / 2)), $this->program->inSetup(app(SetupFile::class)), null,
        fn (): array => [$progress],
    );
    expect($shares)->not->toBeEmpty()->and(max($shares))->toBeLessThanOrEqual(1.0)->and(min($shares))->toBeGreaterThan(0.0);
});

it('forgets what nobody has asked for in a week', function (): void {
    ($this->ask)(Demo::text('1305'));
    $old = LongCheck::sole();
    $this->travel(8)->days();
    ($this->ask)(Demo::text('1410'));
    expect(LongCheck::find($old->id))->toBeNull()->and(Storage::exists("long-checks/{$old->id}.oakc"))->toBeFalse();
});

it('keeps the last few answers of a program, and not one for every edit', function (): void {
    foreach (range(1, 8) as $edit) {
        ($this->ask)(Demo::text('1305')."(EDIT {$edit})")->assertOk();
        $this->travel(1)->seconds();
    }
    expect(LongCheck::count())->toBeLessThan(6)->and(Storage::allFiles('long-checks'))->toHaveCount(LongCheck::count());
    ($this->ask)(Demo::text('1305').'(EDIT 8)')->assertOk();
});

it('works out the verdict of a long revision on the queue, and says that there is none until then', function (): void {
    Queue::fake();
    $this->postJson("/programs/{$this->program->id}/revisions", ['text' => Demo::text('1305')."\n", 'base' => 1])->assertCreated();
    expect($this->program->refresh()->verdict)->toBeNull();
    Queue::pushed(RefreshVerdict::class)->first()->handle(app(App\Checking\ProgramVerdict::class));
    expect($this->program->refresh()->verdict)->toBe('clear');
});

it('works out on the queue, without being asked, what a saved program cuts where that takes long', function (): void {
    Queue::fake();
    config(['oak.stock_visits' => 1000]);
    $program = program('1305');
    config(['oak.long_run' => 100_000]);
    $this->postJson("/programs/{$program->id}/revisions", ['text' => Demo::text('1305')."\n", 'base' => 1])->assertCreated();
    $said = [];
    Program::updated(static function (Program $program) use (&$said): void {
        $said[] = $program->verdict;
    });
    Queue::pushed(RefreshVerdict::class)->first()->handle(app(App\Checking\ProgramVerdict::class));
    // Until all of it is cut it is not clear, whatever else was found.
    expect($said)->toBe(['caution', 'clear'])->and($program->refresh()->verdict)->toBe('clear');
});

it('takes coarser cells while somebody types, rather than none', function (): void {
    $program = program('1935');
    config(['oak.long_run' => 100_000]);
    [$fine] = checked($program, Demo::text('1935'));
    config(['oak.stock_visits' => 400_000, 'oak.stock_kept_from' => 1000]);
    Cache::store('file')->clear();
    [$coarse] = checked($program, Demo::text('1935'));
    $checks = array_column($coarse['result']['findings'], 'check');
    expect($coarse['result']['summary']['stock']['cell'])->toBeGreaterThan($fine['result']['summary']['stock']['cell'])
        ->and($checks)->toContain('cutting.not-followed', 'cutting.plunge-no-center')->and($coarse['result']['summary']['stock']['removed'])->toEqualWithDelta(
            $fine['result']['summary']['stock']['removed'], 0.03 * $fine['result']['summary']['stock']['removed'],
        );

    // They are gone on from like the fine ones, and tell the same.
    expect(Cache::store('file')->get("stock:{$program->id}:".auth()->id().':coarse'))->not->toBeNull();
    [$again] = checked($program, Demo::text('1935'));
    expect($again['result']['findings'])->toBe($coarse['result']['findings'])
        ->and($again['result']['summary']['stock'])->toBe($coarse['result']['summary']['stock']);
});

it('fetches a long text instead of sending it along, and begins its check meanwhile', function (): void {
    Queue::fake();
    expect(LongChecks::isLong($this->program->latest->text))->toBeTrue()->and(props("/programs/{$this->program->id}")['program']['text'])->toBeNull();
    Queue::assertPushed(CheckLongProgram::class, 1);
    expect(LongCheck::sole()->text())->toBe(Demo::text('1305'));
    expect($this->get("/programs/{$this->program->id}/revisions/1")->assertOk()->getContent())->toBe(Demo::text('1305'));
    $this->get("/programs/{$this->program->id}/revisions/9")->assertNotFound();
});

it('takes all of a program out of the stock where it is asked to, and stops in the middle of it', function (): void {
    Queue::fake();
    config(['oak.stock_visits' => 1000]);
    $what = ['text' => Demo::text('1935'), 'wholeStock' => true];
    $program = program('1935');
    $check = $this->postJson("/programs/{$program->id}/check", $what)->assertStatus(202)->json('check');
    expect($check)->not->toBe(($this->ask)(Demo::text('1935'))->json('check'));
    $job = Queue::pushed(CheckLongProgram::class)->first();
    LongCheck::whereKey($check)->update(['state' => CheckState::Running]);
    $this->deleteJson("/long-checks/{$check}")->assertOk();
    $job->handle(app(SetupFile::class));
    expect(Storage::exists("long-checks/{$check}.oaks"))->toBeFalse();
    $this->postJson("/programs/{$program->id}/check", $what)->assertStatus(202);
    Queue::pushed(CheckLongProgram::class)->last()->handle(app(SetupFile::class));
    expect(LongCheck::find($check)->state)->toBe(CheckState::Done)->and(Storage::exists("long-checks/{$check}.oaks"))->toBeTrue();
    LongCheck::find($check)->forget();
    expect(Storage::exists("long-checks/{$check}.oaks"))->toBeFalse();
});
