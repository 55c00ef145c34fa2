<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Setup\Setup as CoreSetup;

/**
 * One clamping of a part on one machine. Its document is a setup file without the machine.
 *
 * @property int $id
 * @property int $part_id
 * @property int $machine_id
 * @property int $operation
 * @property string $name
 * @property object $document
 * @property int $version
 * @property Carbon|null $deleted_at
 * @property-read Part $part
 * @property-read Machine $machine
 * @property-read Collection<int, Program> $programs
 */
class Setup extends Model
{
    use SoftDeletes;

    protected $fillable = ['part_id', 'machine_id', 'operation', 'name', 'document', 'version'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['document' => 'object'];
    }

    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return HasMany<Program, $this> */
    public function programs(): HasMany
    {
        return $this->hasMany(Program::class)->orderBy('id');
    }

    /** Its name among all, as it stands in the logbook. */
    public function title(): string
    {
        return "{$this->part->name}, op {$this->operation} {$this->name}";
    }

    /** The whole setup file, machine included. */
    public function file(): string
    {
        $document = $this->document;
        // Programs of the setup that are there to be called are found by their numbers; a text in the document comes first.
        $called = $this->programs()->reorder('id')->whereNotNull('called_as')->with('latest')->get();
        if ($called->isNotEmpty()) {
            $own = is_object($document->subprograms ?? null) ? get_object_vars($document->subprograms) : [];
            $texts = $called->mapWithKeys(static fn (Program $program): array => [(string) $program->called_as => $program->latest->text])->all();
            $document = (object) (['subprograms' => (object) ($own + $texts)] + get_object_vars($document));
        }

        return self::join($document, $this->machine);
    }

    /** @throws SetupFileError */
    public function core(SetupFile $files): CoreSetup
    {
        $file = $this->file();
        $known = 'sound-setup:'.hash('xxh128', $files->version().$file);
        // Every edit of a program asks for its setup; whether it fits the schema is asked once.
        if (Cache::get($known) === true) {
            return $files->readKnown($file);
        }
        $setup = $files->read($file);
        Cache::put($known, true, now()->addMonth());

        return $setup;
    }

    /** A setup file from a document and a machine; the machine is put into the document's units. */
    public static function join(object $document, Machine $machine): string
    {
        $file = get_object_vars($document);
        $file['machine'] = $machine->definitionIn(is_string($document->units ?? null) ? $document->units : 'mm');

        return (string) json_encode($file, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
