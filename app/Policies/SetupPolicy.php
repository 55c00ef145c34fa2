<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Role;
use App\Models\User;

class SetupPolicy extends ShopPolicy
{
    /** Whether cautions may be made notes here: a lead's decision. */
    public function lower(User $user): bool
    {
        return $user->role === Role::Lead;
    }
}
