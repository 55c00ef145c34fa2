<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;
use OakTrace\Core\Formats\FieldUnit;
use OakTrace\Core\Quantities\Units;

/**
 * A machine of the shop; its definition is the `machine` of a setup file in millimetres.
 *
 * @property int $id
 * @property string $name
 * @property object $definition
 * @property int|null $profile_id
 * @property Carbon|null $deleted_at
 * @property-read Profile|null $profile
 * @property-read Collection<int, Setup> $setups
 */
class Machine extends Model
{
    use SoftDeletes;

    private const LENGTHS = ['min', 'max', 'rapid', 'acceleration', 'maxFeed', 'arcTolerance', 'peckClearance', 'chipBreakRetract'];

    protected $attributes = ['profile_id' => null];

    protected $fillable = ['name', 'definition', 'profile_id'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['definition' => 'object'];
    }

    /** @return BelongsTo<Profile, $this> */
    public function profile(): BelongsTo
    {
        return $this->belongsTo(Profile::class);
    }

    /** @return HasMany<Setup, $this> */
    public function setups(): HasMany
    {
        return $this->hasMany(Setup::class);
    }

    /** The definition with every length and rate in a unit of a setup file; a profile of the shop's own says how its control reads. */
    public function definitionIn(string $units): object
    {
        $fields = get_object_vars($this->definition);
        $profile = $this->profile_id === null ? null : $this->loadMissing('profile')->profile;
        if ($profile !== null) {
            $fields['control'] = $profile->control;
        }
        /** @var object $definition */
        $definition = json_decode((string) json_encode($fields), false);
        if ($units === Units::Inch->value) {
            self::toInch($definition, self::LENGTHS);
        }

        return $definition;
    }

    /** @param  list<string>  $names fields that are lengths or hold nothing but lengths */
    private static function toInch(object $group, array $names): void
    {
        foreach (get_object_vars($group) as $name => $value) {
            $unit = match (true) {
                in_array($name, $names, true) || preg_match('/^[XYZUVW]\d?$/', $name) === 1 => Units::Inch->millimetres(),
                $name === 'power' => FieldUnit::Power->factor(Units::Inch),
                $name === 'torque' => FieldUnit::Torque->factor(Units::Inch),
                default => null,
            };
            if (is_object($value)) {
                self::toInch($value, preg_match('/^[ABC]\d?$/', $name) === 1 ? [] : $names);
            } elseif ($unit !== null && (is_int($value) || is_float($value))) {
                $group->{$name} = round($value / $unit, 9);
            }
        }
    }
}
