<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What is to be made.
 *
 * @property int $id
 * @property string $name
 * @property string $drawing_number
 * @property string|null $material
 * @property string $units
 * @property-read Collection<int, Setup> $setups
 */
class Part extends Model
{
    protected $fillable = ['name', 'drawing_number', 'material', 'units'];

    /** @return HasMany<Setup, $this> */
    public function setups(): HasMany
    {
        return $this->hasMany(Setup::class)->orderBy('operation');
    }
}
