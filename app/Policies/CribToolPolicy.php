<?php

declare(strict_types=1);

namespace App\Policies;

class CribToolPolicy extends ShopPolicy
{
}
