<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Somebody who waits for a long check.
 *
 * @property string $long_check_id
 * @property int $user_id
 * @property Carbon $seen
 * @property-read User $user
 */
class LongCheckWait extends Model
{
    /** Who has not asked how far it is for so long waits no more. */
    private const GONE_AFTER_SECONDS = 20;

    public $timestamps = false;

    protected $fillable = ['long_check_id', 'user_id', 'seen'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['seen' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public static function note(LongCheck $check, int $user): void
    {
        self::query()->upsert([['long_check_id' => $check->id, 'user_id' => $user, 'seen' => now()]], ['long_check_id', 'user_id'], ['seen']);
    }

    /** Somebody else who waits for the same; null where nobody does. */
    public static function other(LongCheck $check, int $user): ?User
    {
        return self::query()->with('user')->where('long_check_id', $check->id)->where('user_id', '!=', $user)->where(
            'seen', '>', now()->subSeconds(self::GONE_AFTER_SECONDS),
        )->first()?->user;
    }
}
