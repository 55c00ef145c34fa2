<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Role;
use App\Models\User;

/** Everyone in the shop may look at its records; leads and machinists may change them. */
abstract class ShopPolicy
{
    public function viewAny(User $user): bool
    {
        return true;
    }

    public function view(User $user): bool
    {
        return true;
    }

    public function create(User $user): bool
    {
        return $user->role->mayChange();
    }

    public function update(User $user): bool
    {
        return $user->role->mayChange();
    }

    /** To the bin, from which everyone who may change can restore it. */
    public function delete(User $user): bool
    {
        return $user->role->mayChange();
    }

    /** For good: a lead's decision. */
    public function forceDelete(User $user): bool
    {
        return $user->role === Role::Lead;
    }
}
