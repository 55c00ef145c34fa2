<?php

declare(strict_types=1);

namespace OakTrace\Core;

use OakTrace\Core\Checks\CheckCatalogue;
use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\Consequences;
use OakTrace\Core\Checks\CutSurvey;
use OakTrace\Core\Checks\HeightSurvey;
use OakTrace\Core\Checks\LatheSurvey;
use OakTrace\Core\Checks\ObstacleSurvey;
use OakTrace\Core\Checks\PassSurvey;
use OakTrace\Core\Checks\Policy;
use OakTrace\Core\Checks\Reach;
use OakTrace\Core\Checks\Remedies;
use OakTrace\Core\Checks\TurnSurvey;
use OakTrace\Core\Checks\Verdict;
use OakTrace\Core\HoldPoints\HoldPoint;
use OakTrace\Core\HoldPoints\HoldPoints;
use OakTrace\Core\Interpreter\Interpreter;
use OakTrace\Core\Interpreter\ReadingMemory;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\ResumedStockRun;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Stock\Turned\TurnedStock;
use OakTrace\Core\Timing\Timer;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Patience;
use OakTrace\Core\Trace\Trace;
use OakTrace\Core\Wording\Finding;

/** A program read, timed and checked with its setup: the core's front door. */
final class Verification
{
    /** @param  list<Finding>  $findings */
    private function __construct(
        public readonly Program $program,
        public readonly Setup $setup,
        public readonly Trace $trace,
        public readonly CheckInput $input,
        public readonly array $findings,
        public readonly Verdict $verdict,
        private ?RunSummary $summary,
    ) {
    }

    /**
     * @param  ReadingMemory|null  $kept  of a reading before, to go on from; this one is kept in it
     * @param  (callable(SourceMap): list<ChunkReader>)|null  $watch  who else wants to see every row, timed: on the way where
     *                                                              nothing is kept, at the end otherwise
     * @param  StockRun|ResumedStockRun|null  $stock  a new one, to take the moves out of
     * @param  Patience|null  $patience  whoever waits for it
     * @param  bool  $turned  whether a lathe's stock is cut
     */
    public static function of(
        Program $program, Setup $setup, ?ReadingMemory $kept = null, ?callable $watch = null, StockRun|ResumedStockRun|null $stock = null,
        ?Patience $patience = null, bool $turned = true,
    ): self {
        $reach = new Reach($setup->machine);
        $cuts = new CutSurvey($setup->machine);
        $passes = new PassSurvey($setup);
        $heights = new HeightSurvey($setup, $passes);
        $obstacles = new ObstacleSurvey($setup);
        $turns = new TurnSurvey($setup);
        $lathe = new LatheSurvey($setup);
        $readers = [new Timer($setup->machine), $reach, $cuts, $heights, $obstacles, $turns, $lathe];
        $summary = null;
        $profile = $turned ? TurnedStock::in($setup) : null;
        $simulated = array_values(array_filter([$stock, $profile]));
        $asked = $patience === null ? [] : [$patience];
        if ($kept === null) {
            $sources = new SourceMap($program);
            $summary = new RunSummary($sources, $setup);
            $trace = Interpreter::read($sources, $setup, ...[...$readers, $summary, ...$simulated, ...$asked, ...($watch === null ? [] : $watch($sources))]);
        } else {
            [$trace, $readers] = Interpreter::readAgain($program, $setup, $kept, ...[...$readers, ...$asked]);
            /** @var array{Timer, Reach, CutSurvey, HeightSurvey, ObstacleSurvey, TurnSurvey, LatheSurvey} $readers */
            [, $reach, $cuts, $heights, $obstacles, $turns, $lathe] = $readers;
            $passes = $heights->passes;
            if ($watch !== null || $simulated !== []) {
                $summary = new RunSummary($trace->sources, $setup);
                $trace->show(...[$summary, ...$simulated, ...($watch === null ? [] : $watch($trace->sources))]);
            }
        }
        $stock = $stock instanceof ResumedStockRun ? $stock->finished() : $stock;
        $input = new CheckInput($program, $setup, $trace, $reach, $cuts, $heights, $obstacles, $passes, $turns, $lathe, $stock, $profile);
        $findings = Remedies::seenToBeRight(CheckCatalogue::examine($input), $input, static function (Program $text) use ($setup, $asked): array {
            $read = self::examined($text, $setup, $asked);

            return [CheckCatalogue::examine($read), $read];
        });
        $findings = Policy::apply(Consequences::fold($findings), $setup);

        return new self($program, $setup, $trace, $input, $findings, Verdict::of($findings), $summary);
    }

    /**
     * What there is to look at of a text with nothing cut.
     *
     * @param  list<Patience>  $asked
     */
    private static function examined(Program $program, Setup $setup, array $asked): CheckInput
    {
        [$reach, $cuts, $passes] = [new Reach($setup->machine), new CutSurvey($setup->machine), new PassSurvey($setup)];
        [$heights, $obstacles, $turns] = [new HeightSurvey($setup, $passes), new ObstacleSurvey($setup), new TurnSurvey($setup)];
        $lathe = new LatheSurvey($setup);
        $trace = Interpreter::read($program, $setup, new Timer($setup->machine), ...[$reach, $cuts, $heights, $obstacles, $turns, $lathe, ...$asked]);

        return new CheckInput($program, $setup, $trace, $reach, $cuts, $heights, $obstacles, $passes, $turns, $lathe);
    }

    public function summary(): RunSummary
    {
        return $this->summary ??= RunSummary::of($this->trace, $this->setup);
    }

    /** @return list<HoldPoint> moments to watch in a first run, the weightiest first */
    public function holdPoints(): array
    {
        return HoldPoints::of($this->trace, $this->setup, $this->summary()->holds, $this->findings, $this->input->passes, $this->input->turned);
    }

    /** The timed trace alone, unchecked. */
    public static function trace(Program $program, Setup $setup): Trace
    {
        return Interpreter::read($program, $setup, new Timer($setup->machine));
    }
}
