<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Setup\Proof;
use OakTrace\Core\Setup\Setup as CoreSetup;

/**
 * A program of a setup. The verdict is that of its latest revision with the setup as it stands.
 *
 * @property int $id
 * @property int $setup_id
 * @property string $name
 * @property string|null $verdict
 * @property int $stops
 * @property int $cautions
 * @property int $notes
 * @property float $seconds
 * @property array{on: string, by: string, revision: int, parts: array<string, string>, at?: string}|null $proof
 * @property array{severity: string, text: string, line: int|null}|null $worst  the first finding of the verdict
 * @property list<array{severity: string, text: string, field: string}>|null $fields  findings that are about fields of the setup
 * @property string|null $called_as  O2000, of a text that is there to be called
 * @property list<string>|null $calls  what its last check found it to call
 * @property list<string>|null $uses  the offsets its last check found it to use: G54, H2, D2
 * @property array{stock: list<int>|null, cuts: string}|null $sketch  its plan as a small picture, see PlanSketch
 * @property Carbon $updated_at
 * @property Carbon|null $deleted_at
 * @property-read Setup $setup
 * @property-read Revision $latest
 */
class Program extends Model
{
    use SoftDeletes;

    protected $fillable = [
        'setup_id', 'name', 'verdict', 'stops', 'cautions', 'notes', 'seconds', 'proof', 'worst', 'fields', 'called_as', 'calls', 'uses', 'sketch',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['seconds' => 'float', 'proof' => 'array', 'worst' => 'array', 'fields' => 'array', 'calls' => 'array', 'uses' => 'array', 'sketch' => 'array'];
    }

    /** @return BelongsTo<Setup, $this> */
    public function setup(): BelongsTo
    {
        return $this->belongsTo(Setup::class);
    }

    /**
     * Its setup, with what is known of the program's own proof.
     *
     * @throws SetupFileError
     */
    public function inSetup(SetupFile $files): CoreSetup
    {
        $setup = $this->setup->core($files);

        return $this->proof === null ? $setup : $setup->with(
            proof: new Proof($this->proof['on'], $this->proof['by'], $this->proof['parts'], $this->changedBy($this->proof)),
        );
    }

    /**
     * Who has last changed what decides its motion since it was proven.
     *
     * @param  array{on: string, by: string, revision: int, parts: array<string, string>, at?: string}  $proof
     * @return array<string, string> the program, G54, H2 and so on => who, and when
     */
    private function changedBy(array $proof): array
    {
        $words = static fn (string $who, Carbon $when): string => $who.', '.$when->setTimezone((string) config('oak.time_zone'))->format('Y-m-d H:i');
        $latest = $this->revisions()->select(Revision::WITHOUT_TEXT)->with('user')->first();
        $changed = $latest === null || $latest->number === $proof['revision'] ? [] : ['the program' => $words($latest->user->name, $latest->created_at)];
        $entries = isset($proof['at']) ? LogEntry::where('setup_id', $this->setup_id)->where(
            'created_at', '>=', Carbon::parse($proof['at']),
        )->orderBy('id')->get() : [];
        foreach ($entries as $entry) {
            $changed[explode(' ', $entry->field)[0]] = $words($entry->by, $entry->created_at);
        }

        return $changed;
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
