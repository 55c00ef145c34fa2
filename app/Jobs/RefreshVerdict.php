<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Checking\ProgramVerdict;
use App\Models\Program;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Works out the verdict the lists show of a long program, or one that cuts much. */
class RefreshVerdict implements ShouldQueue
{
    use Queueable;

    public int $timeout = 1800;

    public bool $deleteWhenMissingModels = true;

    public function __construct(private readonly Program $program)
    {
    }

    public function handle(ProgramVerdict $verdicts): void
    {
        $verdicts->workOutWhole($this->program->load('latest', 'setup.machine'));
    }
}
