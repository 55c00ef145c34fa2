<?php

declare(strict_types=1);

use App\Models\Exercise;
use App\Models\LogEntry;
use App\Models\Role;
use App\Models\User;
use App\People\ChoosePassword;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Notification;

const CHOSEN = 'a pendulum and a weight';

function sessionOf(User $user, string $id): void
{
    DB::table('sessions')->insert(['id' => $id, 'user_id' => $user->id, 'payload' => '', 'last_activity' => time(), 'ip_address' => '10.0.0.1']);
}

describe('a shop with nobody in it', function (): void {
    it('makes its first lead, once', function (): void {
        DB::table('revisions')->delete();
        User::query()->delete();
        $this->get('/sign-in')->assertRedirect('/first-lead');
        $fields = ['name' => 'A. Lead', 'email' => 'lead@shop.example', 'password' => CHOSEN, 'password_confirmation' => CHOSEN];
        $this->post('/first-lead', ['password_confirmation' => 'another one'] + $fields)->assertSessionHasErrors(['password' => 'The two passwords differ.']);
        $this->post('/first-lead', $fields)->assertRedirect('/');
        expect(auth()->user()?->role)->toBe(Role::Lead);
        $this->post('/sign-out');
        $this->get('/first-lead')->assertRedirect('/sign-in');
        $this->post('/first-lead', ['email' => 'two@shop.example'] + $fields)->assertConflict();
        expect(User::count())->toBe(1);
    });
});

describe('inviting', function (): void {
    it('gives a lead an address, and the invited a letter, to choose a password once', function (): void {
        Notification::fake();
        $made = $this->actingAs(person())->postJson(
            '/people', ['name' => 'N. New', 'email' => 'new@fernhollow.example', 'role' => 'machinist'],
        )->assertCreated();
        $new = User::findOrFail($made->json('id'));
        Notification::assertSentTo($new, ChoosePassword::class, static fn (ChoosePassword $letter): bool => $letter->link === $made->json('link'));
        expect(LogEntry::where('kind', 'account')->firstOrFail()->only('subject', 'is', 'by'))
            ->toBe(['subject' => 'N. New', 'is' => 'invited as machinist', 'by' => 'J. Fern']);
        $this->post('/sign-out');
        preg_match('#/password/(\w+)\?#', $made->json('link'), $token);
        $this->get("/password/{$token[1]}?email=new%40fernhollow.example")->assertOk();
        $fields = ['email' => 'new@fernhollow.example', 'token' => $token[1], 'password' => CHOSEN, 'password_confirmation' => CHOSEN];
        $this->post('/password', ['password' => 'short', 'password_confirmation' => 'short'] + $fields)
            ->assertSessionHasErrors(['password' => 'A password has 10 characters or more.']);
        $this->post('/password', $fields)->assertRedirect('/sign-in');
        $this->post('/password', $fields)->assertSessionHasErrors('email');
        $this->post('/sign-in', ['email' => 'new@fernhollow.example', 'password' => CHOSEN])->assertRedirect('/');
    });

    it('is a lead’s to do, and so is all that changes people', function (string $method, string $url, array $fields): void {
        $this->actingAs(person('machinist'))->{$method.'Json'}($url, $fields)->assertForbidden();
        expect(User::whereNotNull('closed_at')->count())->toBe(0)->and(User::count())->toBe(3);
    })->with([
        ['post', '/people', ['name' => 'N', 'email' => 'n@x.example', 'role' => 'lead']], ['put', '/people/2', ['role' => 'lead']],
        ['post', '/people/3/link', []], ['delete', '/people/3', []], ['post', '/people/3/reopen', []],
    ]);

    it('shows e-mails to leads alone', function (): void {
        $this->actingAs(person());
        expect(array_column(props('/people')['people'], 'email'))->toContain('learner@fernhollow.example');
        $this->actingAs(person('machinist'));
        expect(array_filter(array_column(props('/people')['people'], 'email')))->toBe([]);
    });

    it('refuses an e-mail somebody has', function (): void {
        $this->actingAs(person())->postJson('/people', ['name' => 'N', 'email' => 'learner@fernhollow.example', 'role' => 'lead'])->assertUnprocessable()
            ->assertJsonPath('errors.email.0', 'Somebody has this e-mail already.');
    });
});

describe('roles and closed accounts', function (): void {
    it('sets a role, and writes it down', function (): void {
        $this->actingAs(person())->putJson('/people/'.person('learner')->id, ['role' => 'machinist'])->assertNoContent();
        expect(person('learner')->role)->toBe(Role::Machinist)
            ->and(LogEntry::where('kind', 'role')->firstOrFail()->only('was', 'is'))->toBe(['was' => 'learner', 'is' => 'machinist']);
    });

    it('keeps a lead in the shop', function (): void {
        $lead = person();
        $says = static fn (string $what): string => "J. Fern is the only lead, and cannot {$what}. Make somebody else a lead first.";
        $this->actingAs($lead)->putJson(
            "/people/{$lead->id}", ['role' => 'learner'],
        )->assertConflict()->assertJsonPath('message', $says('become something else'));
        $this->deleteJson("/people/{$lead->id}")->assertConflict()->assertJsonPath('message', $says('be closed'));
        person('machinist')->update(['role' => Role::Lead]);
        $this->deleteJson("/people/{$lead->id}")->assertNoContent();
    });

    it('puts out whoever is closed out, everywhere and at once', function (): void {
        $closed = person('machinist');
        sessionOf($closed, 'elsewhere');
        $this->actingAs(person())->deleteJson("/people/{$closed->id}")->assertNoContent();
        expect(DB::table('sessions')->where('user_id', $closed->id)->count())->toBe(0);
        $this->actingAs($closed->refresh())->get('/')->assertRedirect('/sign-in');
        $this->actingAs($closed)->getJson('/setups/1/verdicts')->assertUnauthorized();
        $this->post(
            '/sign-in', ['email' => $closed->email, 'password' => 'escapement'],
        )->assertSessionHasErrors(['email' => 'This account is closed. Ask a lead.']);
        $this->actingAs(person())->postJson("/people/{$closed->id}/reopen")->assertNoContent();
        $this->post('/sign-out');
        $this->post('/sign-in', ['email' => $closed->email, 'password' => 'escapement'])->assertRedirect('/');
    });
});

describe('one’s own account', function (): void {
    it('changes the name freely, and the e-mail with the password', function (): void {
        $user = person('learner');
        $fields = ['name' => 'T. Oak', 'email' => $user->email, 'password' => null];
        $this->actingAs($user)->putJson('/account', $fields)->assertNoContent();
        $this->putJson('/account', ['email' => 'oak@fernhollow.example', 'password' => 'wrong'] + $fields)->assertUnprocessable()
            ->assertJsonPath('errors.password.0', 'This is not your password.');
        $this->putJson('/account', ['email' => 'oak@fernhollow.example', 'password' => 'escapement'] + $fields)->assertNoContent();
        expect($user->refresh()->only('name', 'email'))->toBe(['name' => 'T. Oak', 'email' => 'oak@fernhollow.example'])
            ->and(LogEntry::where('kind', 'account')->pluck('field')->all())->toBe(['name', 'email']);
    });

    it('changes the password with the one of now, and ends every other session', function (): void {
        $user = person('learner');
        sessionOf($user, 'elsewhere');
        $fields = ['current' => 'wrong', 'password' => CHOSEN, 'password_confirmation' => CHOSEN];
        $this->actingAs($user)->putJson('/account/password', $fields)->assertUnprocessable()->assertJsonPath('errors.current.0', 'This is not your password.');
        expect(DB::table('sessions')->where('user_id', $user->id)->count())->toBe(1);
        $this->putJson('/account/password', ['current' => 'escapement'] + $fields)->assertNoContent();
        expect(DB::table('sessions')->where('user_id', $user->id)->count())->toBe(0);
        $this->post('/sign-out');
        $this->post('/sign-in', ['email' => $user->email, 'password' => CHOSEN])->assertRedirect('/');
    });

    it('lists its sessions without giving their keys away, and ends one', function (): void {
        [$user, $other] = [person('learner'), person('machinist')];
        sessionOf($user, 'elsewhere');
        sessionOf($other, 'not-mine');
        $this->actingAs($user);
        $listed = props('/account')['sessions'];
        expect(json_encode($listed))->not->toContain('elsewhere')->and(array_column($listed, 'from'))->toContain('10.0.0.1');
        $this->deleteJson('/account/sessions/'.hash('xxh128', 'not-mine'))->assertNoContent();
        $this->deleteJson('/account/sessions/'.hash('xxh128', 'elsewhere'))->assertNoContent();
        expect(DB::table('sessions')->pluck('id')->all())->toContain('not-mine')->not->toContain('elsewhere');
    });
});

describe('a forgotten password', function (): void {
    it('says the same whether or not somebody has the e-mail', function (): void {
        Notification::fake();
        $said = fn (string $email): mixed => $this->post('/forgotten-password', ['email' => $email])->assertRedirect('/sign-in')->getSession()->get('notice');
        expect($said('learner@fernhollow.example'))->toBe($said('nobody@fernhollow.example'));
        Notification::assertSentToTimes(person('learner'), ChoosePassword::class, 1);
        Notification::assertCount(1);
    });
});

describe('a learner’s exercise copy', function (): void {
    it('is kept for the learner alone', function (): void {
        $this->actingAs(person('learner'))->getJson('/programs/1/exercise')->assertOk()->assertExactJson([]);
        $this->putJson('/programs/1/exercise', ['text' => "G21\n", 'base' => 1])->assertOk();
        $this->putJson('/programs/1/exercise', ['text' => "G21\nM30\n", 'base' => 1])->assertOk();
        expect($this->getJson('/programs/1/exercise')->json('text'))->toBe("G21\nM30\n")->and(Exercise::count())->toBe(1);
        $this->actingAs(person('machinist'))->getJson('/programs/1/exercise')->assertExactJson([]);
        $this->actingAs(person('learner'))->deleteJson('/programs/1/exercise')->assertNoContent();
        expect(Exercise::count())->toBe(0)->and(program('1305')->revisions()->count())->toBe(1);
    });
});

it('asks for a sign-in', function (string $method, string $url): void {
    $this->{$method.'Json'}($url, [])->assertUnauthorized();
})->with([
    ['get', '/people'], ['post', '/people'], ['put', '/people/1'], ['post', '/people/1/link'], ['delete', '/people/1'], ['post', '/people/1/reopen'],
    ['get', '/account'], ['put', '/account'], ['put', '/account/password'], ['delete', '/account/sessions/'.str_repeat('0', 32)],
    ['get', '/programs/1/exercise'], ['put', '/programs/1/exercise'], ['delete', '/programs/1/exercise'],
]);
