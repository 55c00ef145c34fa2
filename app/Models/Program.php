<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * A program of a setup. The verdict is that of its latest revision with the setup as it stands.
 *
 * @property int $id
 * @property int $setup_id
 * @property string $name
 * @property string|null $verdict
 * @property int $stops
 * @property int $cautions
 * @property float $seconds
 * @property-read Setup $setup
 * @property-read Revision $latest
 */
class Program extends Model
{
    protected $fillable = ['setup_id', 'name', 'verdict', 'stops', 'cautions', 'seconds'];

    /** @return BelongsTo<Setup, $this> */
    public function setup(): BelongsTo
    {
        return $this->belongsTo(Setup::class);
    }

    /** @return HasMany<Revision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(Revision::class)->orderByDesc('number');
    }

    /** @return HasOne<Revision, $this> */
    public function latest(): HasOne
    {
        return $this->hasOne(Revision::class)->ofMany('number', 'max');
    }
}
