<?php

declare(strict_types=1);

namespace App\Models;

/** What a person may do in the shop. */
enum Role: string
{
    case Lead = 'lead';
    case Machinist = 'machinist';
    case Learner = 'learner';

    /** Whether the person may save programs and change setups; everyone may look and try. */
    public function mayChange(): bool
    {
        return $this !== self::Learner;
    }
}
