<?php

declare(strict_types=1);

namespace App\Models;

use App\LongWork\CheckState;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;
use RuntimeException;
use Throwable;

/**
 * The check of a long program, made by the queue. Its id is made of all that decides the answer, so that a check that has
 * been made is found again.
 *
 * @property string $id
 * @property int $program_id
 * @property CheckState $state
 * @property float $share done, 0 to 1
 * @property string $message
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property-read Program $program
 */
class LongCheck extends Model
{
    /** A worker tells how far it is several times a second; the longest stretch without a word is shorter than this by far. */
    private const SILENCE_SECONDS = 300;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $fillable = ['id', 'program_id', 'state', 'share', 'message'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['state' => CheckState::class, 'share' => 'float'];
    }

    /** @return BelongsTo<Program, $this> */
    public function program(): BelongsTo
    {
        return $this->belongsTo(Program::class);
    }

    /** Marks a check as failed whose worker has gone without a word. */
    public function noticeSilence(): void
    {
        if ($this->state === CheckState::Running && $this->updated_at->isBefore(now()->subSeconds(self::SILENCE_SECONDS))) {
            $this->update(['state' => CheckState::Failed, 'message' => 'The worker of this check stopped. Ask for it again.']);
        }
    }

    public function text(): string
    {
        return (string) Storage::get($this->path('nc'));
    }

    /** The answer as the bench reads it; null where it is not there (any more). */
    public function answer(): ?string
    {
        return $this->state === CheckState::Done ? Storage::get($this->path('oakc')) : null;
    }

    /** How the stock stood at moments of the run, as the bench reads it; null where it was not asked for, or is not there (any more). */
    public function stock(): ?string
    {
        return $this->state === CheckState::Done ? Storage::get($this->path('oaks')) : null;
    }

    public function putStock(string $body): void
    {
        $this->put('oaks', $body);
    }

    public function putText(string $text): void
    {
        $this->put('nc', $text);
    }

    public function putAnswer(string $body): void
    {
        $this->put('oakc', $body);
        Storage::delete($this->path('nc'));
    }

    public function forget(): void
    {
        Storage::delete([$this->path('nc'), $this->path('oakc'), $this->path('oaks')]);
        LongCheckWait::where('long_check_id', $this->id)->delete();
        $this->delete();
    }

    /** Under its name stands all of it or nothing: a disk that is full half-way leaves no text in part. */
    private function put(string $kind, string $content): void
    {
        $part = $this->path($kind).'.'.bin2hex(random_bytes(4)).'.part';
        try {
            if (Storage::put($part, $content) !== true) {
                throw new RuntimeException('No space left for '.$part);
            }
            Storage::move($part, $this->path($kind));
        } catch (Throwable $e) {
            rescue(static fn () => Storage::delete($part), report: false);

            throw $e;
        }
    }

    private function path(string $kind): string
    {
        return "long-checks/{$this->id}.{$kind}";
    }
}
