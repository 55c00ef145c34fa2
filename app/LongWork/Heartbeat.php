<?php

declare(strict_types=1);

namespace App\LongWork;

use Illuminate\Contracts\Queue\Job;
use Illuminate\Queue\Jobs\DatabaseJob;
use Illuminate\Support\Facades\DB;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Patience;

/** Keeps a job its worker's own while it is worked at: one without a sign of life is taken up by another worker before long. */
final class Heartbeat implements Patience
{
    private const EVERY_NANOSECONDS = 10_000_000_000;

    private int $last;

    public function __construct(private readonly ?Job $job)
    {
        $this->last = hrtime(true);
    }

    public function read(Chunk $chunk, array $states, array $details): void
    {
        $this->look($chunk->first + $chunk->count);
    }

    public function look(int $rows): void
    {
        if ($this->job instanceof DatabaseJob && hrtime(true) - $this->last > self::EVERY_NANOSECONDS) {
            $this->last = hrtime(true);
            QueueLine::seen();
            DB::table((string) config('queue.connections.database.table'))
                ->where('id', $this->job->getJobId())
                ->update(['reserved_at' => now()->getTimestamp()]);
        }
    }
}
