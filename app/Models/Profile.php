<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A control profile of the shop's own: the `control` of a setup file in millimetres, begun as a copy of one that came with
 * the house.
 *
 * @property int $id
 * @property string $title
 * @property object $control
 * @property int $version
 * @property-read Collection<int, Machine> $machines
 */
class Profile extends Model
{
    protected $fillable = ['title', 'control', 'version'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['control' => 'object'];
    }

    /** @return HasMany<Machine, $this> */
    public function machines(): HasMany
    {
        return $this->hasMany(Machine::class)->orderBy('name');
    }
}
