<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * What is to be made.
 *
 * @property int $id
 * @property string $name
 * @property string $drawing_number
 * @property string|null $material
 * @property string $units
 * @property Carbon|null $archived_at
 * @property Carbon $updated_at
 * @property Carbon|null $deleted_at
 * @property-read Collection<int, Setup> $setups
 */
class Part extends Model
{
    use SoftDeletes;

    protected $attributes = ['archived_at' => null];

    protected $fillable = ['name', 'drawing_number', 'material', 'units', 'archived_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['archived_at' => 'datetime'];
    }

    /** @return HasMany<Setup, $this> */
    public function setups(): HasMany
    {
        return $this->hasMany(Setup::class)->orderBy('operation');
    }
}
