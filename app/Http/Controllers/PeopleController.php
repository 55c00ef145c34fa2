<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Worded;
use App\Models\Role;
use App\Models\User;
use App\People\Accounts;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;

/** Who is in the shop, and as what. */
class PeopleController
{
    public function index(): Response
    {
        Gate::authorize('viewAny', User::class);
        $mayChange = Gate::allows('create', User::class);

        return Inertia::render('people/People', [
            'mayChange' => $mayChange,
            'people' => User::orderBy('name')->get()->map(static fn (User $user): array => [
                'id' => $user->id, 'name' => $user->name, 'role' => $user->role->value, 'isClosed' => $user->closed_at !== null,
                'email' => $mayChange ? $user->email : null,
            ]),
        ]);
    }

    /** Invites somebody; the address they choose a password under is shown to the lead too, since not every shop has mail. */
    public function store(Request $request): JsonResponse
    {
        Gate::authorize('create', User::class);
        $fields = Worded::fields($request, ['name' => Worded::name(), 'email' => self::email(), 'role' => ['required', Rule::enum(Role::class)]], self::WORDS);
        [$user, $link] = Accounts::invite((string) $fields['name'], (string) $fields['email'], Role::from((string) $fields['role']));

        return response()->json(['id' => $user->id, 'link' => $link], 201);
    }

    public function update(Request $request, User $person): HttpResponse
    {
        Gate::authorize('update', $person);
        Accounts::setRole($person, Role::from((string) Worded::fields($request, ['role' => ['required', Rule::enum(Role::class)]])['role']));

        return response()->noContent();
    }

    /** A new address to choose a password under, for whoever has lost the first. */
    public function link(User $person): JsonResponse
    {
        Gate::authorize('update', $person);

        return response()->json(['link' => Accounts::link($person)]);
    }

    public function close(User $person): HttpResponse
    {
        Gate::authorize('update', $person);
        Accounts::close($person);

        return response()->noContent();
    }

    public function reopen(User $person): HttpResponse
    {
        Gate::authorize('update', $person);
        Accounts::reopen($person);

        return response()->noContent();
    }

    public const WORDS = [
        'email.required' => 'Enter an e-mail.', 'email.email' => 'This is not an e-mail address.', 'email.unique' => 'Somebody has this e-mail already.',
        'password.required' => 'Enter a password.', 'password.min' => 'A password has 10 characters or more.',
        'password.confirmed' => 'The two passwords differ.',
    ];

    /** @return list<mixed> */
    public static function email(?User $user = null): array
    {
        return ['required', 'string', 'email', 'max:254', Rule::unique('users', 'email')->ignore($user?->id)];
    }

    /** @return list<string> */
    public static function password(): array
    {
        return ['required', 'string', 'min:10', 'max:1000', 'confirmed'];
    }
}
