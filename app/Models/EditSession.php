<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Somebody who is changing a program and has not saved yet.
 *
 * @property int $program_id
 * @property int $user_id
 * @property Carbon $since
 * @property Carbon $seen
 * @property-read User $user
 */
class EditSession extends Model
{
    /** Nobody is taken to be at it any more after so many seconds without a word. */
    private const FORGOTTEN_AFTER = 60;

    public $timestamps = false;

    protected $fillable = ['program_id', 'user_id', 'since', 'seen'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['since' => 'datetime', 'seen' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public static function note(Program $program, int $user, bool $isTyping): void
    {
        $theirs = self::query()->where('program_id', $program->id)->where('user_id', $user);
        if (! $isTyping) {
            $theirs->delete();
        } elseif ($theirs->where('seen', '>', self::horizon())->update(['seen' => now()]) === 0) {
            self::query()->upsert(
                [['program_id' => $program->id, 'user_id' => $user, 'since' => now(), 'seen' => now()]], ['program_id', 'user_id'], ['since', 'seen'],
            );
        }
    }

    /** @return Builder<self> everybody else who is changing the program */
    public static function others(Program $program, int $user): Builder
    {
        return self::query()->with('user')->where('program_id', $program->id)->where('user_id', '!=', $user)->where('seen', '>', self::horizon())
            ->orderBy('since');
    }

    private static function horizon(): Carbon
    {
        return now()->subSeconds(self::FORGOTTEN_AFTER);
    }
}
