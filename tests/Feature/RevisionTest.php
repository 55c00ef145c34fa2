<?php

declare(strict_types=1);

use OakTrace\Core\Compare\Change;
use OakTrace\Core\Formats\PackedColumns;
use Tests\Core\Demo;

beforeEach(function (): void {
    $this->program = program('1305');
    $this->path = "/programs/{$this->program->id}";
    $this->actingAs(person('machinist'));
    $this->save = fn (string $text, int $base, string $reason = '') => $this->postJson(
        "{$this->path}/revisions", ['text' => $text, 'base' => $base, 'reason' => $reason],
    );
});

it('compares two revisions as motion, and one with a text that is not saved', function (): void {
    $text = Demo::text('1305');
    $deeper = str_replace('Z-2.5', 'Z-3.', $text);
    ($this->save)($deeper, 1)->assertCreated();
    foreach ([['from' => 1, 'to' => 2], ['from' => 1, 'text' => $deeper]] as $what) {
        [$head, $columns] = PackedColumns::read($this->postJson("{$this->path}/compare", $what)->assertOk()->getContent());
        $changed = array_filter($columns->numbers('change'));
        expect($head['counts'])->toMatchArray(['new' => 0, 'gone' => 0])->and($head['counts']['moved'])->toBe(count($changed))->toBeGreaterThan(5)
            ->and($head['changes'][0])->toMatchArray(['by' => 0.5, 'change' => Change::Moved->value])
            ->and($head['is']['seconds'])->toBeGreaterThan($head['was']['seconds'])
            ->and($columns->numbers('other')[array_key_first($changed)])->toBeGreaterThan(0)
            ->and(count($columns->numbers('was.change')))->toBe(count($columns->numbers('was.x')));
    }
    $this->postJson("{$this->path}/compare", ['from' => 1, 'to' => 9])->assertNotFound();
    $this->postJson("{$this->path}/compare", ['from' => 1])->assertUnprocessable();
    config(['oak.long_run' => 50]);
    $this->postJson("{$this->path}/compare", ['from' => 1, 'to' => 2])->assertUnprocessable()->assertJsonPath(
        'message', 'These texts are too long to be compared as motion. They are compared as text below.',
    );
    expect(props("{$this->path}/compare")['revisions'])->toHaveCount(2)->each->not->toHaveKey('text');
});

it('brings a text together with what has been saved since', function (): void {
    $text = Demo::text('1305');
    ($this->save)(str_replace('Z-2.5', 'Z-3.', $text), 1)->assertCreated();
    $merged = $this->postJson(
        "{$this->path}/merge", ['base' => 1, 'text' => str_replace('(T1 SPOT', '(T1 THE SPOT', $text)],
    )->assertOk()->assertJsonPath('latest.number', 2)->assertJsonPath('conflicts', []);
    expect($merged->json('text'))->toBe(str_replace(['Z-2.5', '(T1 SPOT'], ['Z-3.', '(T1 THE SPOT'], $text));
    $this->postJson("{$this->path}/merge", ['base' => 7, 'text' => ''])->assertNotFound();
});

it('takes up an earlier revision as a new one, and none is lost', function (): void {
    ($this->save)('G21', 1)->assertCreated();
    $this->postJson("{$this->path}/revisions/1/restore", ['base' => 1])->assertConflict()->assertJsonPath('latest.by', 'M. Hollow');
    $this->postJson("{$this->path}/revisions/1/restore", ['base' => 2])->assertCreated()->assertJsonPath('revision.reason', 'Restored from revision 1');
    expect($this->program->revisions()->pluck('text')->all())->toBe([Demo::text('1305'), 'G21', Demo::text('1305')]);
    $this->actingAs(person('learner'))->postJson("{$this->path}/revisions/1/restore", ['base' => 3])->assertForbidden();
});

it('tells who else is changing a program, until they save, stop, or are gone', function (): void {
    $say = fn (string $who, bool $typing) => $this->actingAs(person($who))->postJson("{$this->path}/editing", ['typing' => $typing])->assertOk()->json();
    expect($say('machinist', true)['others'])->toBe([]);
    $told = $say('lead', false);
    expect($told['others'])->toHaveCount(1)->and($told['others'][0]['name'])->toBe('M. Hollow')->and($told['latest']['number'])->toBe(1);
    // A learner may try, and is in nobody's way.
    $say('learner', true);
    expect($say('lead', true)['others'])->toHaveCount(1);
    // Still at it after a while: since then, not since now. The lead has said nothing more and is forgotten.
    $this->travel(40)->seconds();
    $say('machinist', true);
    $this->travel(40)->seconds();
    expect($say('machinist', true)['others'])->toBe([])->and($say('lead', false)['others'])->toBe($told['others']);
    $this->actingAs(person('machinist'));
    ($this->save)('G21', 1)->assertCreated();
    $told = $say('lead', false);
    expect($told['others'])->toBe([])->and($told['latest'])->toMatchArray(['number' => 2, 'by' => 'M. Hollow']);
});

it('keeps the old revision or makes the new one, wherever the process is killed in the middle of a save', function (): void {
    $database = (string) tempnam(sys_get_temp_dir(), 'oak-kill');
    $run = static fn (string $code): array => (static function () use ($code, $database): array {
        exec(
            'env APP_ENV=testing DB_CONNECTION=sqlite DB_DATABASE='.escapeshellarg($database)
                .' CACHE_STORE=array QUEUE_CONNECTION=sync BCRYPT_ROUNDS=4 '.PHP_BINARY.' '
                .escapeshellarg(base_path('tests/Feature/save-and-die.php'))." {$code} 2>&1",
            $output, $status,
        );

        return [$status, implode("\n", $output)];
    })();
    expect($run('seed')[0])->toBe(0);
    for ($statement = 1, $killed = 0, $done = false; ! $done && $statement < 80; $statement++) {
        [$status] = $run((string) $statement);
        $killed += $status === 137 ? 1 : 0;
        [, $left] = $run('look');
        ['revisions' => $revisions, 'verdict' => $verdict] = json_decode($left, true);
        // Either all of the save is there or nothing of it; its verdict is worked out afterwards, and until then there is none.
        expect([count($revisions), $verdict])->toBeIn([[1, 'clear'], [2, null], [2, 'stop']]);
        $done = count($revisions) === 2;
    }
    unlink($database);
    expect($killed)->toBeGreaterThan(3)->and($done)->toBeTrue();
});

it('stores what a person has set, and shows everything in the units wanted', function (): void {
    $this->putJson('/settings', ['units' => 'inch', 'size' => 'large'])->assertOk()->assertJson(
        ['settings' => ['units' => 'inch', 'look' => 'light', 'size' => 'large']],
    );
    $this->putJson('/settings', ['look' => 'dark'])->assertJson(['settings' => ['units' => 'inch', 'look' => 'dark', 'size' => 'large']]);
    $this->putJson('/settings', ['units' => 'cubits'])->assertUnprocessable();
    $this->actingAs(person('machinist'));
    expect(props('/')['user']['settings'])->toBe(['units' => 'inch', 'look' => 'dark', 'size' => 'large']);
    [$head, $columns] = checked(program('1210'), Demo::text('1210'));
    expect($head['scene'])->toMatchArray(['units' => 'inch', 'decimals' => 4])->and($head['scene']['stock']['max'][0])->toEqualWithDelta(46 / 25.4, 1e-6)
        ->and($columns->numbers('heightZ0')[63])->toEqualWithDelta(-40 / 25.4, 1e-6)
        ->and($head['result']['findings'][0]['text'])->toContain('in')->not->toContain(' mm')
        ->and($head['result']['findings'][0]['otherUnits'])->toContain('mm')
        ->and($head['states'][1]['shift']['X'])->toEqualWithDelta($head['scene']['zero']['X'], 1e-6);
});

it('shows a program large at the machine', function (): void {
    expect(props("{$this->path}/machine")['program'])->toBe(['id' => $this->program->id, 'name' => 'O1305', 'revision' => 1]);
});
