<?php

declare(strict_types=1);

namespace App\LongWork;

use Illuminate\Support\Facades\Cache;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Patience;

/** Somebody who waits for the answer to a text: not for ever, not for a long run, and not any more once they have asked about a newer one. */
final class Waiting implements Patience
{
    private const LOOK_NANOSECONDS = 100_000_000;

    private readonly int $until;

    private int $looked;

    /**
     * @param  string  $newest  key under which the newest question of its kind is kept
     * @param  string  $own  this question
     * @param  int  $mostRows  of a run that is waited for
     */
    private function __construct(private readonly string $newest, private readonly string $own, int $seconds, private readonly int $mostRows)
    {
        $this->looked = hrtime(true);
        $this->until = $this->looked + $seconds * 1_000_000_000;
    }

    /**
     * From here on this is the newest question of a person about a program.
     *
     * @param  string  $person  and the tab they ask from: two tabs may hold two texts
     */
    public static function now(int $program, string $person): self
    {
        $waiting = new self("newest-question:{$program}:{$person}", bin2hex(random_bytes(8)), (int) config('oak.wait_seconds'), (int) config('oak.long_run'));
        Cache::store('file')->put($waiting->newest, $waiting->own, now()->addMinutes(10));

        return $waiting;
    }

    public function read(Chunk $chunk, array $states, array $details): void
    {
    }

    /**
     * @throws TooLong of so long a run, or after so long, that the queue should have it
     * @throws Superseded once a newer question has come
     */
    public function look(int $rows): void
    {
        if ($rows > $this->mostRows) {
            throw new TooLong;
        }
        $now = hrtime(true);
        if ($now - $this->looked < self::LOOK_NANOSECONDS) {
            return;
        }
        $this->looked = $now;
        if (Cache::store('file')->get($this->newest) !== $this->own) {
            throw new Superseded;
        }
        if ($now > $this->until) {
            throw new TooLong;
        }
    }
}
