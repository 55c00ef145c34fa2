<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Role;
use App\Models\User;

/** People are a lead's to invite, and to close out; everyone may see who is in the shop. */
class UserPolicy
{
    public function viewAny(User $user): bool
    {
        return true;
    }

    public function create(User $user): bool
    {
        return $user->role === Role::Lead;
    }

    public function update(User $user): bool
    {
        return $user->role === Role::Lead;
    }
}
