<?php

declare(strict_types=1);

namespace App\Checking;

use App\Jobs\RefreshVerdict;
use App\LongWork\LongChecks;
use App\Models\Program;
use App\Models\Setup;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Language\Program as ProgramText;
use OakTrace\Core\Setup\Setup as CoreSetup;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;

/** Keeps the verdict that the lists show with the program it belongs to. */
final readonly class ProgramVerdict
{
    public function __construct(private SetupFile $files)
    {
    }

    /** The verdict of a usual program at once; that of a long one, or one that cuts much, when the queue comes to it. */
    public function refresh(Program $program): void
    {
        if (LongChecks::isLong($program->latest->text)) {
            $program->update(['verdict' => null, 'stops' => 0, 'cautions' => 0, 'notes' => 0]);
            RefreshVerdict::dispatch($program)->afterCommit();
        } else {
            $setup = $program->inSetup($this->files);
            $stock = SimulatedStock::of($setup, $program->latest->text);
            $this->workOut($program, $setup, $stock);
            if ($stock?->isTooLong === true) {
                RefreshVerdict::dispatch($program)->afterCommit();
            }
        }
    }

    /** The verdicts of a setup's programs when the queue comes to them: nobody who has typed a figure waits for that. */
    public function refreshLater(Setup $setup): void
    {
        foreach ($setup->programs()->get() as $program) {
            $program->update(['verdict' => null, 'stops' => 0, 'cautions' => 0, 'notes' => 0]);
            RefreshVerdict::dispatch($program)->afterCommit();
        }
    }

    /** The verdict with all that is cut, however long that takes. */
    public function workOutWhole(Program $program): void
    {
        $setup = $program->inSetup($this->files);
        $this->workOut($program, $setup, SimulatedStock::whole($setup));
    }

    private function workOut(Program $program, CoreSetup $setup, ?StockRun $stock): void
    {
        $verification = Verification::of(ProgramText::fromText($program->latest->text), $setup, stock: $stock);
        $count = static fn (Severity $severity): int => count(array_filter($verification->findings, static fn ($finding): bool => $finding->severity === $severity));
        $seconds = 0.0;
        foreach ($verification->trace->chunks() as $chunk) {
            $seconds += array_sum($chunk->seconds());
        }
        $newest = Program::with('latest', 'setup')->find($program->id);
        if ($newest === null || $newest->latest->number !== $program->latest->number || $newest->setup->version !== $program->setup->version) {
            return; // saved again meanwhile; the verdict of that is under way
        }
        $program->update([
            'verdict' => $verification->verdict->value,
            'stops' => $count(Severity::Stop),
            'cautions' => $count(Severity::Caution),
            'notes' => $count(Severity::Note),
            'seconds' => $seconds,
        ]);
    }

    public function refreshAll(Setup $setup): void
    {
        foreach ($setup->programs()->with(['latest', 'setup.machine'])->get() as $program) {
            $this->refresh($program);
        }
    }
}
