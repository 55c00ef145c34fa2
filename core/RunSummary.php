<?php

declare(strict_types=1);

namespace OakTrace\Core;

use OakTrace\Core\HoldPoints\HoldSurvey;
use OakTrace\Core\Language\SourceMap;
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

    public function __construct(SourceMap $sources, Setup $setup)
    {
        $this->times = new RunTimes($sources, $setup->machine);
        $this->lengths = new RunLengths;
        $this->holds = new HoldSurvey($setup);
    }

    /** Of a trace that is timed already. */
    public static function of(Trace $trace, Setup $setup): self
    {
        $summary = new self($trace->sources, $setup);
        $trace->show($summary);

        return $summary;
    }

    /** @param  Chunk  $chunk  timed already */
    public function read(Chunk $chunk, array $states, array $details): void
    {
        $this->times->read($chunk, $states, $details);
        $this->lengths->read($chunk, $states, $details);
        $this->holds->read($chunk, $states, $details);
    }
}
