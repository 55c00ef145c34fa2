<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Worded;
use App\Logbook\Kind;
use App\Models\LogEntry;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** One's own account. */
class AccountController
{
    public function show(Request $request, #[CurrentUser] User $user): Response
    {
        $sessions = DB::table('sessions')->where('user_id', $user->id)->orderByDesc('last_activity')->get(['id', 'ip_address', 'user_agent', 'last_activity']);

        return Inertia::render('people/Account', [
            'account' => ['name' => $user->name, 'email' => $user->email, 'role' => $user->role->value],
            'sessions' => $sessions->map(static fn (object $session): array => [
                // The id of a session is a key to it; what is shown is only a name for it.
                'name' => hash('xxh128', (string) $session->id), 'from' => (string) $session->ip_address, 'with' => (string) $session->user_agent,
                'seen' => date(DATE_ATOM, (int) $session->last_activity), 'isThis' => $session->id === $request->session()->getId(),
            ]),
        ]);
    }

    public function update(Request $request, #[CurrentUser] User $user): HttpResponse
    {
        $fields = Worded::fields(
            $request, ['name' => Worded::name(), 'email' => PeopleController::email($user), 'password' => ['present', 'nullable', 'string', 'max:1000']],
            PeopleController::WORDS,
        );
        if ($fields['email'] !== $user->email) {
            self::ask($user, (string) ($fields['password'] ?? ''), 'password');
        }
        $was = $user->only('name', 'email');
        $user->update(['name' => $fields['name'], 'email' => $fields['email']]);
        $changes = [];
        foreach ($was as $field => $value) {
            if ($value !== $user->{$field}) {
                $changes[] = [$field, (string) $value, (string) $user->{$field}];
            }
        }
        LogEntry::note(Kind::Account, $user->name, $changes);

        return response()->noContent();
    }

    /** A new password ends every other session. */
    public function password(Request $request, #[CurrentUser] User $user): HttpResponse
    {
        $fields = Worded::fields(
            $request, ['current' => ['required', 'string', 'max:1000'], 'password' => PeopleController::password()],
            PeopleController::WORDS + ['current.required' => 'Enter your password of now.'],
        );
        self::ask($user, (string) $fields['current'], 'current');
        $user->forceFill(['password' => $fields['password'], 'remember_token' => Str::random(60)])->save();
        DB::table('sessions')->where('user_id', $user->id)->where('id', '!=', $request->session()->getId())->delete();
        LogEntry::note(Kind::Account, $user->name, [['password', null, 'changed']]);

        return response()->noContent();
    }

    public function endSession(Request $request, #[CurrentUser] User $user, string $name): HttpResponse
    {
        foreach (DB::table('sessions')->where('user_id', $user->id)->pluck('id') as $id) {
            if (is_string($id) && $id !== $request->session()->getId() && hash_equals(hash('xxh128', $id), $name)) {
                DB::table('sessions')->where('id', $id)->delete();
            }
        }

        return response()->noContent();
    }

    private static function ask(User $user, string $password, string $field): void
    {
        if (! Hash::check($password, $user->getAuthPassword())) {
            throw ValidationException::withMessages([$field => 'This is not your password.']);
        }
    }
}
