<?php

declare(strict_types=1);

namespace App\People;

use App\Logbook\Kind;
use App\Models\LogEntry;
use App\Models\Role;
use App\Models\User;
use App\Shop\ShopProblem;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Str;

/** The accounts of the shop: who may come in, as what. There is always a lead left. */
final class Accounts
{
    /** The first lead of a shop in which nobody is yet. */
    public static function first(string $name, string $email, string $password): User
    {
        return DB::transaction(static function () use ($name, $email, $password): User {
            if (User::query()->lockForUpdate()->exists()) {
                throw new ShopProblem('There is a lead already. Sign in, or ask to be invited.');
            }
            $lead = User::create(['name' => $name, 'email' => $email, 'password' => $password, 'role' => Role::Lead]);
            LogEntry::note(Kind::Account, $name, [['account', null, 'first lead']], who: $lead);

            return $lead;
        });
    }

    /** @return array{User, string} who was invited, and the address under which they choose a password */
    public static function invite(string $name, string $email, Role $role): array
    {
        $user = User::create(['name' => $name, 'email' => $email, 'password' => Str::password(40), 'role' => $role]);
        LogEntry::note(Kind::Account, $name, [['account', null, "invited as {$role->value}"]]);

        return [$user, self::link($user)];
    }

    /** A new address under which somebody chooses a password; it goes to their e-mail as well. */
    public static function link(User $user): string
    {
        $token = Password::broker()->createToken($user);
        $link = url('/password/'.$token.'?email='.urlencode($user->email));
        $user->notify(new ChoosePassword($link));

        return $link;
    }

    public static function setRole(User $user, Role $role): void
    {
        DB::transaction(static function () use ($user, $role): void {
            if ($role !== Role::Lead) {
                self::refuseLastLead($user, 'become something else');
            }
            $user->update(['role' => $role]);
        });
    }

    /** Whoever is closed out is out at once, on every computer. */
    public static function close(User $user): void
    {
        DB::transaction(static function () use ($user): void {
            self::refuseLastLead($user, 'be closed');
            $user->update(['closed_at' => now()]);
            DB::table('sessions')->where('user_id', $user->id)->delete();
            LogEntry::note(Kind::Account, $user->name, [['account', 'open', 'closed']]);
        });
    }

    public static function reopen(User $user): void
    {
        $user->update(['closed_at' => null]);
        LogEntry::note(Kind::Account, $user->name, [['account', 'closed', 'open']]);
    }

    private static function refuseLastLead(User $user, string $what): void
    {
        $others = User::where('role', Role::Lead)->whereNull('closed_at')->whereKeyNot($user->id)->lockForUpdate()->exists();
        if ($user->role === Role::Lead && ! $others) {
            throw new ShopProblem("{$user->name} is the only lead, and cannot {$what}. Make somebody else a lead first.");
        }
    }
}
