<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Worded;
use App\Logbook\Kind;
use App\Models\LogEntry;
use App\Models\User;
use App\People\Accounts;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** Passwords of people who are not signed in: the first lead's, one that was forgotten, one that is chosen on being invited. */
class PasswordController
{
    /** The first start of a shop in which nobody is. */
    public function first(): Response|RedirectResponse
    {
        return User::query()->exists() ? redirect('/sign-in') : Inertia::render('sign-in/FirstLead');
    }

    public function storeFirst(Request $request): RedirectResponse
    {
        $fields = Worded::fields($request, [
            'name' => Worded::name(), 'email' => ['required', 'string', 'email', 'max:254'], 'password' => PeopleController::password(),
        ], PeopleController::WORDS);
        Auth::login(Accounts::first((string) $fields['name'], (string) $fields['email'], (string) $fields['password']));
        $request->session()->regenerate();

        return redirect('/');
    }

    public function forgotten(): Response
    {
        return Inertia::render('sign-in/Forgotten');
    }

    /** Says the same whether or not somebody has this e-mail. */
    public function send(Request $request): RedirectResponse
    {
        $fields = Worded::fields($request, ['email' => ['required', 'string', 'email', 'max:254']], PeopleController::WORDS);
        $user = User::where('email', $fields['email'])->whereNull('closed_at')->first();
        if ($user !== null) {
            Accounts::link($user);
        }

        return redirect('/sign-in')->with('notice', 'If somebody here has this e-mail, a letter is on its way to it. A lead can also give you a new address.');
    }

    public function choose(Request $request, string $token): Response
    {
        return Inertia::render('sign-in/ChoosePassword', ['token' => $token, 'email' => $request->string('email')->value()]);
    }

    public function store(Request $request): RedirectResponse
    {
        $fields = Worded::fields($request, [
            'email' => ['required', 'string', 'email', 'max:254'], 'token' => ['required', 'string', 'max:200'], 'password' => PeopleController::password(),
        ], PeopleController::WORDS);
        $status = Password::broker()->reset($fields, static function (User $user, string $password): void {
            $user->forceFill(['password' => $password, 'remember_token' => Str::random(60)])->save();
            DB::table('sessions')->where('user_id', $user->id)->delete();
            LogEntry::note(Kind::Account, $user->name, [['password', null, 'chosen']], who: $user);
        });
        if ($status !== Password::PASSWORD_RESET) {
            throw ValidationException::withMessages(['email' => 'This address has been used, or is too old. Ask a lead for a new one.']);
        }

        return redirect('/sign-in')->with('notice', 'Your password is chosen. Sign in with it.');
    }
}
