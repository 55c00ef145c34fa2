<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What a learner keeps of a program for themselves: a text that goes on from a revision.
 *
 * @property int $user_id
 * @property int $program_id
 * @property int $base
 * @property string $text
 * @property Carbon $updated_at
 */
class Exercise extends Model
{
    protected $fillable = ['user_id', 'program_id', 'base', 'text'];
}
