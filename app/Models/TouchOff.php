<?php

declare(strict_types=1);

namespace App\Models;

use App\TouchOff\TouchState;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * The worksheet something was last touched off with. Lengths in millimetres.
 *
 * @property int $id
 * @property int $setup_id
 * @property int $user_id
 * @property string $subject
 * @property TouchState $state
 * @property string|null $method
 * @property array<string, float>|null $readings
 * @property float|null $value
 * @property bool $simulated
 * @property float|null $measured_first  of the first bore of a row that is measured again
 * @property Carbon $begun_at
 * @property int $turn  counted up with every worksheet of the setup that is begun
 * @property-read User $user
 */
class TouchOff extends Model
{
    protected $fillable = ['setup_id', 'user_id', 'subject', 'state', 'method', 'readings', 'value', 'simulated', 'measured_first', 'begun_at', 'turn'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'state' => TouchState::class, 'readings' => 'array', 'value' => 'float', 'measured_first' => 'float', 'simulated' => 'boolean',
            'begun_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
