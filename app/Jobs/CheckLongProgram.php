<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Checking\BenchAnswer;
use App\Checking\SimulatedStock;
use App\Checking\StockAnswer;
use App\LongWork\CheckState;
use App\LongWork\Heartbeat;
use App\LongWork\LongChecks;
use App\LongWork\Progress;
use App\LongWork\QueueLine;
use App\LongWork\Stopped;
use App\Models\LongCheck;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Verification;
use Throwable;

/** Makes the check of a long program and keeps its answer; told to stop, it stops within a moment. */
class CheckLongProgram implements ShouldQueue
{
    use Queueable;

    /** One more where its worker was killed. */
    public int $tries = 2;

    public int $timeout = 1800;

    /** Of the whole work, the share that is reading; the columns for the browser are the rest. */
    private const READING = 0.75;

    private ?Heartbeat $heartbeat = null;

    public function __construct(private readonly LongCheck $check, private readonly ?Units $units, private readonly bool $wholeStock = false)
    {
    }

    public function handle(SetupFile $files): void
    {
        $check = $this->check;
        $began = LongCheck::whereKey($check->id)->whereIn(
            'state', $this->attempts() > 1 ? [CheckState::Waiting, CheckState::Running] : [CheckState::Waiting],
        )->update(['state' => CheckState::Running]);
        if ($began === 0) {
            return; // stopped before it began
        }
        $text = $check->text();
        if (LongChecks::id($check->program, $text, $this->units, $this->wholeStock) !== $check->id) {
            $check->update(
                ['state' => CheckState::Failed, 'message' => 'The setup has changed, or the text arrived incomplete. Ask for the check again.'],
            );

            return;
        }
        $this->heartbeat = new Heartbeat($this->job);
        try {
            $setup = $check->program->inSetup($files);
            $stock = $this->wholeStock ? SimulatedStock::whole($setup) : SimulatedStock::of($setup, $text);
            if ($this->wholeStock) {
                $stock?->keepBefore(StockAnswer::moments(Verification::trace(Program::fromText($text), $setup), $setup));
            }
            $body = BenchAnswer::of($text, $setup, $stock, null, $this->units, new Progress(substr_count($text, "\n") + 1, $this->tell(...)));
        } catch (Stopped) {
            return;
        }
        if ($this->wholeStock && $stock !== null) {
            $check->putStock(StockAnswer::body($stock, $setup, $this->units ?? $setup->units, StockAnswer::stands($stock)));
        }
        $check->putAnswer($body);
        LongCheck::whereKey($check->id)->where('state', CheckState::Running)->update(['state' => CheckState::Done, 'share' => 1]);
    }

    public function failed(?Throwable $problem): void
    {
        LongCheck::whereKey($this->check->id)->update(
            ['state' => CheckState::Failed, 'message' => 'The check did not finish. See the log of the server.'],
        );
    }

    private function tell(float $share): void
    {
        QueueLine::seen();
        $this->heartbeat?->look(0);
        if (LongCheck::whereKey($this->check->id)->where('state', CheckState::Running)->update(['share' => $share * self::READING]) === 0) {
            throw new Stopped;
        }
    }
}
