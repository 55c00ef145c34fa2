<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Checking\ProgramVerdict;
use App\Models\Program;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/**
 * Works out the verdict the lists show of a long program, or one that cuts much. It stands on a queue of its own, behind the
 * checks that somebody waits for, and once for each program however often its setup is changed meanwhile.
 */
class RefreshVerdict implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public const QUEUE = 'verdicts';

    public int $timeout = 1800;

    public int $uniqueFor = 300;

    public bool $deleteWhenMissingModels = true;

    public function __construct(private readonly Program $program)
    {
        $this->onQueue(self::QUEUE);
    }

    public function uniqueId(): int
    {
        return $this->program->id;
    }

    public function handle(ProgramVerdict $verdicts): void
    {
        $verdicts->workOutWhole($this->program->load('latest', 'setup.machine'));
    }
}
