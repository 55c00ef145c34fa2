<?php

declare(strict_types=1);

namespace OakTrace\Core;

use OakTrace\Core\HoldPoints\HoldSurvey;
use OakTrace\Core\Language\Library;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Timing\RunTimes;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\RunLengths;
use OakTrace\Core\Trace\Trace;

/** What is told of a run as a whole: its times, how far it goes, where to watch. */
final readonly class RunSummary implements ChunkReader
{
    public RunTimes $times;

    public RunLengths $lengths;

    public HoldSurvey $holds;

    public function __construct(Library $library, Setup $setup)
    {
        $this->times = new RunTimes($library, $setup->machine);
        $this->lengths = new RunLengths;
        $this->holds = new HoldSurvey($setup);
    }

    /** Of a trace that is timed already. */
    public static function of(Trace $trace, Setup $setup): self
    {
        $summary = new self($trace->library, $setup);
        $trace->show($summary);

        return $summary;
    }

    /** @param  Chunk  $chunk  timed already */
    public function take(Chunk $chunk, array $states, array $details): void
    {
        $this->times->take($chunk, $states, $details);
        $this->lengths->take($chunk, $states, $details);
        $this->holds->take($chunk, $states, $details);
    }
}
