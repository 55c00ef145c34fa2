<?php

declare(strict_types=1);

namespace App\Models;

use App\Logbook\Kind;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;

/**
 * Who changed what, from what to what, and when; never changed once it stands.
 *
 * @property int $id
 * @property Kind $kind
 * @property int|null $user_id
 * @property string $by
 * @property int|null $setup_id
 * @property string $subject
 * @property string $field
 * @property string|null $was
 * @property string|null $is
 * @property string|null $why
 * @property Carbon $created_at
 */
class LogEntry extends Model
{
    public const UPDATED_AT = null;

    protected $table = 'logbook';

    protected $fillable = ['kind', 'user_id', 'by', 'setup_id', 'subject', 'field', 'was', 'is', 'why', 'created_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => Kind::class];
    }

    /**
     * Writes one down for whoever is signed in.
     *
     * @param  list<array{string, string|null, string|null}>  $fields  what was changed, from what and to what
     */
    public static function note(Kind $kind, string $subject, array $fields, ?Setup $setup = null, ?User $who = null, ?string $why = null): void
    {
        $who ??= Auth::user();
        $row = [
            'kind' => $kind->value, 'user_id' => $who instanceof User ? $who->id : null, 'by' => $who instanceof User ? $who->name : '',
            'setup_id' => $setup?->id, 'subject' => $subject, 'created_at' => now(), 'why' => $why === null ? null : mb_strimwidth($why, 0, 200),
        ];
        foreach (array_chunk($fields, 50) as $some) {
            self::query()->insert(array_map(static fn (array $field): array => $row + ['field' => $field[0], 'was' => $field[1], 'is' => $field[2]], $some));
        }
    }

    /** @return array<string, mixed> a line of the logbook */
    public function row(): array
    {
        return [
            'id' => $this->id, 'kind' => $this->kind->value, 'by' => $this->by, 'at' => $this->created_at->toIso8601String(),
            'subject' => $this->subject, 'field' => $this->field, 'was' => $this->was, 'is' => $this->is, 'why' => $this->why,
        ];
    }
}
