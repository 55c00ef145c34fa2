<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Checking\ProgramVerdict;
use App\LongWork\Heartbeat;
use App\Models\Program;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/**
 * Works out the verdict the lists show. It stands on a queue of its own, behind the checks that somebody waits for. However
 * often a setup is changed meanwhile, the first that is come to works out what stands then, and the others find it there. A
 * worker that is killed leaves it to the next.
 */
class RefreshVerdict implements ShouldQueue
{
    use Queueable;

    public const QUEUE = 'verdicts';

    public int $tries = 5;

    /** @var list<int> seconds before it is tried again */
    public array $backoff = [1, 5, 20];

    public int $timeout = 1800;

    public function __construct(private readonly int $program)
    {
        $this->onQueue(self::QUEUE);
    }

    public function handle(ProgramVerdict $verdicts): void
    {
        $program = Program::with('latest', 'setup.machine')->find($this->program);
        if ($program !== null && ($program->verdict === null || $this->attempts() > 1)) {
            $verdicts->workOut($program, new Heartbeat($this->job));
        }
    }
}
