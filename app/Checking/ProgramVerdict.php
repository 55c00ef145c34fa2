<?php

declare(strict_types=1);

namespace App\Checking;

use App\Jobs\RefreshVerdict;
use App\LongWork\LongChecks;
use App\Models\Program;
use Illuminate\Support\Facades\DB;
use OakTrace\Core\Checks\OffsetUse;
use OakTrace\Core\Formats\PlanSketch;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Language\Program as ProgramText;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Trace\Patience;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;
use OakTrace\Core\Wording\Wording;

/** Keeps the verdict that the lists show with the program it belongs to. */
final readonly class ProgramVerdict
{
    /** A verdict that has not come after so long may never come. */
    private const LATE_SECONDS = 600;

    /** More would not be read. */
    private const MOST_FIELDS = 40;

    public function __construct(private SetupFile $files)
    {
    }

    /** What stands is of no use any more; the queue works out anew once all that belongs to the change is stored. */
    public function refresh(Program ...$programs): void
    {
        foreach ($programs as $program) {
            Program::whereKey($program->id)->update(['verdict' => null, 'stops' => 0, 'cautions' => 0, 'notes' => 0]);
            $job = RefreshVerdict::dispatch($program->id);
            // On a queue in the same database the job is stored with the change or not at all; any other must not come to it before it is stored.
            config('queue.default') === 'database' ? $job->beforeCommit() : $job->afterCommit();
        }
    }

    /**
     * Asks again where no answer has come for long, as after a queue that was lost.
     *
     * @param  iterable<Program>  $programs
     */
    public static function lookAfter(iterable $programs): void
    {
        foreach ($programs as $program) {
            if ($program->verdict === null && $program->updated_at->isBefore(now()->subSeconds(self::LATE_SECONDS))) {
                $program->touch();
                RefreshVerdict::dispatch($program->id);
            }
        }
    }

    /**
     * The verdict with all that is cut, however long that takes; where it takes long, first one with what can be said at once.
     *
     * @param  Patience|null  $patience  asked on the way
     */
    public function workOut(Program $program, ?Patience $patience = null): void
    {
        $setup = $program->inSetup($this->files);
        if (! LongChecks::isLong($program->latest->text)) {
            $stock = SimulatedStock::of($setup, $program->latest->text);
            $verification = $this->verify($program, $stock, $patience);
            $this->store($program, $verification);
            // What a run cuts that never ends need not be known to its end.
            if ($stock?->isTooLong !== true || in_array('flow.runaway', array_column($verification->findings, 'check'), true)) {
                return;
            }
        }
        $this->store($program, $this->verify($program, SimulatedStock::whole($setup), $patience));
    }

    private function verify(Program $program, ?StockRun $stock, ?Patience $patience): Verification
    {
        return Verification::of(ProgramText::fromText($program->latest->text), $program->inSetup($this->files), stock: $stock, patience: $patience);
    }

    /** Only where it is still that of the latest revision and of the setup as it stands: an older answer never takes the place of a newer one. */
    private function store(Program $program, Verification $verification): void
    {
        $count = static fn (Severity $severity): int => count(
            array_filter($verification->findings, static fn (Finding $finding): bool => $finding->severity === $severity),
        );
        $seconds = 0.0;
        foreach ($verification->trace->chunks() as $chunk) {
            $seconds += array_sum($chunk->seconds());
        }
        DB::transaction(static function () use ($program, $verification, $count, $seconds): void {
            $newest = Program::with('setup.machine')->lockForUpdate()->find($program->id);
            if (
                $newest === null || $newest->revisions()->max('number') !== $program->latest->number
                || $newest->setup->file() !== $program->setup->file() || $newest->proof !== $program->proof
            ) {
                return; // that of what stands now is under way
            }
            $worst = $verification->findings[0] ?? null;
            $newest->update([
                'worst' => $worst === null ? null : [
                    'severity' => $worst->severity->value, 'line' => SourceMap::lineNumber($worst->line),
                    'text' => (new Wording($verification->setup->units))->text($worst),
                ],
                'fields' => self::ofFields($verification),
                'uses' => OffsetUse::of($verification->input),
                'calls' => array_values(array_unique(array_column($verification->trace->sources->others(), 0))),
                'sketch' => PlanSketch::of($verification->trace, $verification->setup),
                'verdict' => $verification->verdict->value,
                'stops' => $count(Severity::Stop),
                'cautions' => $count(Severity::Caution),
                'notes' => $count(Severity::Note),
                'seconds' => $seconds,
            ]);
        });
    }

    /** @return list<array{severity: string, text: string, field: string}> */
    private static function ofFields(Verification $verification): array
    {
        $wording = new Wording($verification->setup->units);
        $rows = [];
        foreach ($verification->findings as $finding) {
            if ($finding->field !== null && count($rows) < self::MOST_FIELDS) {
                $rows[] = ['severity' => $finding->severity->value, 'text' => $wording->text($finding), 'field' => $finding->field];
            }
        }

        return $rows;
    }
}
