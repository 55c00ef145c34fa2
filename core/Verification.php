<?php

declare(strict_types=1);

namespace OakTrace\Core;

use OakTrace\Core\Checks\CheckCatalogue;
use OakTrace\Core\Checks\CutSurvey;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\HeightSurvey;
use OakTrace\Core\Checks\ObstacleSurvey;
use OakTrace\Core\Checks\PassSurvey;
use OakTrace\Core\Checks\Policy;
use OakTrace\Core\Checks\Reach;
use OakTrace\Core\Checks\TurnSurvey;
use OakTrace\Core\Checks\Verdict;
use OakTrace\Core\Interpreter\Interpreter;
use OakTrace\Core\Interpreter\Rereading;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Timing\Timer;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Trace;

/** A program read, timed and checked with its setup: the core's front door. */
final readonly class Verification
{
    /** @param  list<Finding>  $findings */
    private function __construct(
        public Program $program,
        public Setup $setup,
        public Trace $trace,
        public Evidence $evidence,
        public array $findings,
        public Verdict $verdict,
    ) {
    }

    /**
     * @param  Rereading|null  $kept  of a reading before, to go on from; this one is kept in it
     * @param  ChunkReader|null  $watch  shown the rows on the way, where nothing is kept
     */
    public static function of(Program $program, Setup $setup, ?Rereading $kept = null, ?ChunkReader $watch = null): self
    {
        $reach = new Reach($setup->machine);
        $cuts = new CutSurvey($setup->machine);
        $passes = new PassSurvey($setup);
        $heights = new HeightSurvey($setup, $passes);
        $obstacles = new ObstacleSurvey($setup);
        $turns = new TurnSurvey($setup);
        $readers = [new Timer($setup->machine), $reach, $cuts, $heights, $obstacles, $turns];
        if ($kept === null) {
            $trace = Interpreter::read($program, $setup, ...$readers, ...($watch === null ? [] : [$watch]));
        } else {
            [$trace, $readers] = Interpreter::readAgain($program, $setup, $kept, ...$readers);
            /** @var array{Timer, Reach, CutSurvey, HeightSurvey, ObstacleSurvey, TurnSurvey} $readers */
            [, $reach, $cuts, $heights, $obstacles, $turns] = $readers;
            $passes = $heights->passes;
        }
        $evidence = new Evidence($program, $setup, $trace, $reach, $cuts, $heights, $obstacles, $passes, $turns);
        $findings = Policy::apply(CheckCatalogue::examine($evidence), $setup);

        return new self($program, $setup, $trace, $evidence, $findings, Verdict::of($findings));
    }

    /** The timed trace alone, unchecked. */
    public static function trace(Program $program, Setup $setup): Trace
    {
        return Interpreter::read($program, $setup, new Timer($setup->machine));
    }
}
