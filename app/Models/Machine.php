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

    private const LENGTHS = [
        'min', 'max', 'rapid', 'acceleration', 'maxFeed', 'arcTolerance', 'peckClearance', 'chipBreakRetract', 'at', 'diameter', 'bottom', 'top', 'table',
    ];

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
            self::scale($definition, self::LENGTHS, static fn (float $value, float $unit): float => round($value / $unit, 9));
        }

        return $definition;
    }

    /** A definition in a unit of a setup file as it is kept, in millimetres. */
    public static function inMillimetres(object $definition, string $units): object
    {
        /** @var object $kept */
        $kept = json_decode((string) json_encode($definition), false);
        if ($units === Units::Inch->value) {
            self::scale($kept, self::LENGTHS, static fn (float $value, float $unit): float => round($value * $unit, 9));
        }

        return $kept;
    }

    /**
     * @param  list<string>  $names fields that are lengths or hold nothing but lengths
     * @param  callable(float, float): float  $scaled  a value in another unit
     */
    private static function scale(object $group, array $names, callable $scaled): void
    {
        foreach (get_object_vars($group) as $name => $value) {
            $unit = match (true) {
                in_array($name, $names, true) || preg_match('/^[XYZUVW]\d?$/', $name) === 1 => Units::Inch->millimetres(),
                $name === 'power' => FieldUnit::Power->factor(Units::Inch),
                $name === 'torque' => FieldUnit::Torque->factor(Units::Inch),
                default => null,
            };
            if (is_object($value)) {
                self::scale($value, preg_match('/^[ABC]\d?$/', $name) === 1 && ! isset($value->at) ? [] : $names, $scaled);
            } elseif (is_array($value)) {
                $group->{$name} = array_map(static function (mixed $each) use ($names, $scaled, $unit): mixed {
                    if (is_object($each)) {
                        self::scale($each, $names, $scaled);
                    }

                    return $unit !== null && (is_int($each) || is_float($each)) ? $scaled((float) $each, $unit) : $each;
                }, $value);
            } elseif ($unit !== null && (is_int($value) || is_float($value))) {
                $group->{$name} = $scaled((float) $value, $unit);
            }
        }
    }
}
