<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Kinematics\Axis;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;

/**
 * For every state of a trace, the lines where it first does the things the state checks ask about. Row numbers of the
 * columns are looked at once, by runs of rows under one state.
 */
final class CutSurvey implements ChunkReader
{
    /** A move shorter than this is no way across, mm. */
    private const ACROSS = 1.0;

    /** @var array<int, int> state => line of its first row */
    public array $firstRow = [];

    /** @var array<int, int> state => line of its first cutting move */
    public array $firstCut = [];

    /** @var array<int, float> state => feed of its first cutting move, mm/min */
    public array $firstFeed = [];

    /** @var array<int, int> state => line of that: the first cut at a feed of the program */
    public array $firstFed = [];

    /** @var array<int, array{int, float}> state => line and feed of its quickest cutting move, mm/min */
    public array $mostFeed = [];

    /** @var array<int, array{int, float}> state => line and feed of its slowest cutting move across, mm/min */
    public array $leastFeed = [];

    /** @var array<int, int> state => line of its first move that a work offset carries */
    public array $firstCarried = [];

    /** @var array<int, int> state => line of its first move of the length axis towards the part */
    public array $firstDown = [];

    /** @var array{int, float}|null line and feed of the first move faster than the machine's greatest feed */
    public ?array $overFeed = null;

    private readonly int $lengthAxis;

    private readonly float $maxFeed;

    private readonly bool $hasRotary;

    public function __construct(Machine $machine)
    {
        $this->maxFeed = ($machine->maxFeed ?? INF) * (1 + 1e-9);
        $this->hasRotary = array_filter($machine->axes, static fn (Axis $axis): bool => $axis->isRotary()) !== [];
        $this->lengthAxis = $machine->axisIndex[$machine->lengthAxis()] ?? -1;
    }

    public function read(Chunk $chunk, array $states, array $details): void
    {
        $kinds = $chunk->kinds();
        $lines = $chunk->lines();
        $feeds = $this->feeds($chunk);
        if ($this->overFeed === null && $this->maxFeed < INF && $feeds !== [] && max($feeds) > $this->maxFeed) {
            foreach ($feeds as $row => $feed) {
                if ($feed > $this->maxFeed) {
                    $this->overFeed = [$lines[$row], $feed];
                    break;
                }
            }
        }
        // Where a rotary axis alone moves at feed it mostly brings the part to where it is cut next.
        $ways = $this->hasRotary ? $chunk->lengths() : [];
        foreach ($chunk->runs() as ['from' => $from, 'to' => $to, 'state' => $state]) {
            $this->firstRow[$state] ??= $lines[$from];
            for ($i = $from; $i < $to && ! isset($this->firstFed[$state]); $i++) {
                if (($kinds[$i] === MotionKind::FEED && ($ways[$i] ?? 1.0) > 0.0) || $kinds[$i] === MotionKind::ARC) {
                    $this->firstCut[$state] ??= $lines[$i];
                    if (($chunk->marks()[$i] & Mark::BY_HAND) === 0) {
                        $this->firstFed[$state] = $lines[$i];
                        $this->firstFeed[$state] = $chunk->feeds()[$i];
                    }
                }
            }
            if (isset($this->firstCut[$state])) {
                $this->lookAtFeeds($chunk, $feeds, $state, $from, $to);
            }
            if (! isset($this->firstCarried[$state]) || ! isset($this->firstDown[$state])) {
                $this->lookAtMoves($chunk, $state, $from, $to);
            }
        }
    }

    /** @param  list<float>  $all  feeds of the chunk */
    private function lookAtFeeds(Chunk $chunk, array $all, int $state, int $from, int $to): void
    {
        $feeds = $to - $from === $chunk->count ? $all : array_slice($all, $from, $to - $from);
        $most = $feeds === [] ? 0.0 : max($feeds);
        if ($most > ($this->mostFeed[$state][1] ?? 0.0)) {
            $this->mostFeed[$state] = [$chunk->lines()[$from + (int) array_search($most, $feeds, true)], $most];
        }
        if ($most > 0.0 && $this->lengthAxis >= 0) {
            $this->lookForSlowest($chunk, $feeds, $state, $from);
        }
    }

    /** @param  list<float>  $feeds  from a row on */
    private function lookForSlowest(Chunk $chunk, array $feeds, int $state, int $from): void
    {
        $heights = $chunk->axis($this->lengthAxis);
        $lengths = $chunk->lengths();
        $least = $this->leastFeed[$state][1] ?? INF;
        foreach ($feeds as $row => $feed) {
            $at = $from + $row;
            if (
                $feed > 0.0 && $feed < $least && $lengths[$at] > self::ACROSS
                && abs($heights[$at] - ($at > 0 ? $heights[$at - 1] : $chunk->before[$this->lengthAxis])) < 1e-6
            ) {
                $least = $feed;
                $this->leastFeed[$state] = [$chunk->lines()[$at], $feed];
            }
        }
    }

    /** @return list<float> mm/min of each row of a chunk that has been timed; 0 where only rotary axes move, whose F counts degrees */
    private function feeds(Chunk $chunk): array
    {
        $feeds = $chunk->feeds();

        return $this->hasRotary ? array_map(static fn (float $feed, float $length): float => $length > 0.0 ? $feed : 0.0, $feeds, $chunk->lengths()) : $feeds;
    }

    private function lookAtMoves(Chunk $chunk, int $state, int $from, int $to): void
    {
        $kinds = $chunk->kinds();
        $marks = $chunk->marks();
        $heights = $this->lengthAxis < 0 ? null : $chunk->axis($this->lengthAxis);
        for ($i = $from; $i < $to; $i++) {
            if ($kinds[$i] > MotionKind::ARC || ($marks[$i] & Mark::MACHINE) !== 0) {
                continue;
            }
            if (($marks[$i] & ((1 << Mark::AXES) - 1)) !== 0) {
                $this->firstCarried[$state] ??= $chunk->lines()[$i];
            }
            if ($heights !== null && ! isset($this->firstDown[$state])
                && $heights[$i] < ($i > 0 ? $heights[$i - 1] : $chunk->before[$this->lengthAxis]) - 1e-9) {
                $this->firstDown[$state] = $chunk->lines()[$i];

                return;
            }
        }
    }
}
