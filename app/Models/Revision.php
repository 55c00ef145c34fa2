<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * The text of a program at one moment; never changed once it stands.
 *
 * @property int $id
 * @property int $program_id
 * @property int $number
 * @property string $text
 * @property int $user_id
 * @property string $reason
 * @property array{document: array<string, mixed>, written: list<array{key: string, lines: list<string>}>}|null $sheet  the operation sheet
 *                                 the text was written from, and the text as the sheet wrote it; null for a text that was typed
 * @property Carbon $created_at
 * @property-read User $user
 */
class Revision extends Model
{
    public const UPDATED_AT = null;

    /** Columns of the list of revisions, whose texts may be long. */
    public const WITHOUT_TEXT = ['id', 'program_id', 'number', 'user_id', 'reason', 'created_at'];

    protected $fillable = ['program_id', 'number', 'text', 'user_id', 'reason', 'sheet'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['sheet' => 'array'];
    }

    /** @return array{number: int, by: string, at: string, reason: string} a line of the list of revisions */
    public function row(): array
    {
        return ['number' => $this->number, 'by' => $this->user->name, 'at' => $this->created_at->toIso8601String(), 'reason' => $this->reason];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
