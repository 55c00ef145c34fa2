<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Logbook\Kind;
use App\Models\LogEntry;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\Response as HttpResponse;

class SignInController
{
    public function show(): Response|RedirectResponse
    {
        return User::query()->exists() ? Inertia::render('sign-in/SignIn') : redirect('/first-lead');
    }

    public function store(Request $request): RedirectResponse
    {
        ['email' => $email, 'password' => $password] = $request->validate(
            ['email' => ['required', 'string', 'email', 'max:254'], 'password' => ['required', 'string', 'max:1000']],
        );
        $user = User::where('email', $email)->first();
        // An address nobody has takes as long as one somebody has.
        $nobodys = self::nobodys();
        $isRight = Hash::check($password, $user instanceof User ? $user->getAuthPassword() : $nobodys);
        if (! $user instanceof User || ! $isRight) {
            LogEntry::note(Kind::Refused, mb_strimwidth($email, 0, 200), [['from', null, $request->ip()]], who: $user);

            throw ValidationException::withMessages(['email' => 'E-mail and password do not match.']);
        }
        if ($user->closed_at !== null) {
            LogEntry::note(Kind::Refused, $user->email, [['account', null, 'closed']], who: $user);

            throw ValidationException::withMessages(['email' => 'This account is closed. Ask a lead.']);
        }
        Auth::login($user, $request->boolean('remember'));
        $request->session()->regenerate();
        LogEntry::note(Kind::SignIn, $user->email, [['from', null, $request->ip()]]);

        return redirect()->intended('/');
    }

    /** The sign-in page is loaded as a whole, so that nothing of what was shown stays behind it. */
    public function destroy(Request $request): HttpResponse
    {
        $user = $request->user();
        LogEntry::note(Kind::SignOut, $user instanceof User ? $user->email : '', [['from', null, $request->ip()]]);
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return Inertia::location('/sign-in');
    }

    private static function nobodys(): string
    {
        return Cache::rememberForever('nobodys-password:'.(int) config('hashing.bcrypt.rounds'), static fn (): string => Hash::make('nobody has this one'));
    }
}
