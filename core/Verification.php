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
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Timing\Timer;
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

    public static function of(Program $program, Setup $setup): self
    {
        $reach = new Reach($setup->machine);
        $cuts = new CutSurvey($setup->machine);
        $passes = new PassSurvey($setup);
        $heights = new HeightSurvey($setup, $passes);
        $obstacles = new ObstacleSurvey($setup);
        $turns = new TurnSurvey($setup);
        $trace = Interpreter::read($program, $setup, new Timer($setup->machine), $reach, $cuts, $heights, $obstacles, $turns);
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
