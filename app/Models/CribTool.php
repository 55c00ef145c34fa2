<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;
use OakTrace\Core\Formats\FileEntry;
use OakTrace\Core\Formats\ToolFields;
use OakTrace\Core\Quantities\Units;

/**
 * A tool of the crib, from which setups pick. Its definition is a tool of a setup file in millimetres, without its number.
 *
 * @property int $id
 * @property string $name
 * @property string $kind
 * @property array<string, mixed> $definition
 * @property Carbon|null $deleted_at
 */
class CribTool extends Model
{
    use SoftDeletes;

    protected $fillable = ['name', 'kind', 'definition'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['definition' => 'array'];
    }

    /** @return array<string, mixed> the tool as a setup in some units has it, without its number */
    public function definitionIn(Units $units): array
    {
        return self::converted($this->definition, Units::Millimetre, $units);
    }

    /**
     * @param  array<string, mixed>  $tool
     * @return array<string, mixed>
     */
    public static function converted(array $tool, Units $from, Units $to): array
    {
        $written = (new ToolFields($to))->write((new ToolFields($from))->read(new FileEntry(['number' => 1] + $tool)));
        unset($written['number']);

        // A radius that nobody gave is none; it is not written as one.
        return ($written['cornerRadius'] ?? null) == 0 && ! isset($tool['cornerRadius']) ? array_diff_key($written, ['cornerRadius' => 0]) : $written;
    }
}
