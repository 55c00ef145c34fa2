<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use OakTrace\Core\Setup\Units;

/**
 * A machine of the shop; its definition is the `machine` of a setup file in millimetres.
 *
 * @property int $id
 * @property string $name
 * @property object $definition
 */
class Machine extends Model
{
    private const LENGTHS = ['min', 'max', 'rapid', 'acceleration', 'maxFeed', 'arcTolerance', 'peckClearance', 'chipBreakRetract'];

    protected $fillable = ['name', 'definition'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['definition' => 'object'];
    }

    /** The definition with every length and rate in a unit of a setup file. */
    public function definitionIn(string $units): object
    {
        /** @var object $definition */
        $definition = json_decode((string) json_encode($this->definition), false);
        if ($units === Units::Inch->value) {
            self::toInch($definition, self::LENGTHS);
        }

        return $definition;
    }

    /** @param  list<string>  $names fields that are lengths or hold nothing but lengths */
    private static function toInch(object $group, array $names): void
    {
        foreach (get_object_vars($group) as $name => $value) {
            $isLength = in_array($name, $names, true) || preg_match('/^[XYZUVW]\d?$/', $name) === 1;
            if (is_object($value)) {
                self::toInch($value, preg_match('/^[ABC]\d?$/', $name) === 1 ? [] : $names);
            } elseif ($isLength && (is_int($value) || is_float($value))) {
                $group->{$name} = round($value / Units::Inch->millimetres(), 9);
            }
        }
    }
}
