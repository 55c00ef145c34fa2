<?php

declare(strict_types=1);

namespace App\Checking;

use App\LongWork\CoreVersion;
use App\Models\Program;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Support\Facades\Cache;
use OakTrace\Core\Interpreter\ReadingMemory;

/** Keeps the last reading of a long program for whoever edits it, so that the next edit need not read it from the top. */
final class KeptReadings
{
    /** A shorter text is read quicker than a reading is fetched, bytes. */
    private const WORTH_KEEPING = 100_000;

    private const MINUTES = 30;

    /**
     * @template T
     *
     * @param  callable(ReadingMemory|null): T  $read
     * @return T
     */
    public static function during(Program $program, ?Authenticatable $person, string $text, callable $read): mixed
    {
        if (strlen($text) < self::WORTH_KEEPING) {
            return $read(null);
        }
        $key = implode(':', ['reading', $program->id, $person?->getAuthIdentifier(), CoreVersion::get()]);
        $kept = Cache::store('file')->get($key);
        $kept = $kept instanceof ReadingMemory ? $kept : new ReadingMemory;
        $answer = $read($kept);
        Cache::store('file')->put($key, $kept, now()->addMinutes(self::MINUTES));

        return $answer;
    }
}
