<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Sheet\Shapes\Shape;

/** The questions about walls that milling operations share, and how a wall is finished. Lengths in millimetres. */
final readonly class Walls
{
    /** Left for the finish (common practice). */
    private const WALL = 0.2;

    private const FLOOR = 0.1;

    /** The arc that leads in is at least so much more than the cutter's radius, and the finish runs so far past its start: 0.05 in. */
    private const LEAD = 1.27;

    private function __construct(
        public float $wall,
        public float $floor,
        public int $finishes,
        public float $wallStep,
        public float $finishFeed,
        public bool $atEach,
        public int $spring,
        public bool $isClimb,
        private bool $byControl,
        private Only $only,
        private string $measured,
    ) {
    }

    /** @return list<Ask> */
    public static function asks(): array
    {
        return [
            Ask::group('leave', 'Left for the finish', [Ask::length('wall', 'On the wall'), Ask::length('floor', 'On the floor')])->cutting(),
            Ask::group('finish', 'Finish', [
                Ask::count('passes', 'Passes'), Ask::length('wallStep', 'Wall a pass'), Ask::length('feed', 'Feed'),
                Ask::choice('atDepth', 'At', ['full', 'each']),
            ])->cutting()->rare(),
            Ask::count('spring', 'Spring passes')->cutting()->rare(), Ask::choice('direction', 'Direction', ['climb', 'conventional'])->cutting(),
            Ask::choice('compensation', 'Compensation', ['control', 'computed'])->cutting(),
            Ask::choice('measure', 'Stop to measure', ['no', 'before the finish', 'before the last finish'])->cutting()->rare(),
        ];
    }

    public static function of(Answers $answers, Job $job): self
    {
        $leave = $answers->group('leave');
        $leave->refuseOthers(['wall', 'floor']);
        $finish = $answers->group('finish');
        $finish->refuseOthers(['passes', 'wallStep', 'feed', 'atDepth']);
        $wall = $leave->length('wall', self::WALL);
        $floor = $leave->length('floor', self::FLOOR);
        foreach (['wall' => $wall, 'floor' => $floor] as $field => $value) {
            if ($value < 0.0) {
                $leave->wrong($field, 'This has to be 0 or more.');
            }
        }
        $passes = $finish->count('passes', 1, 0, 20);
        $made = new self(
            $passes === 0 ? 0.0 : max(0.0, $wall), $passes === 0 ? 0.0 : max(0.0, $floor), $passes,
            $finish->length('wallStep', max(0.0, $wall) / max(1, $passes)),
            $finish->has('feed') ? $finish->size('feed') : ($job->tool->feed ?? 0.0),
            $finish->choice('atDepth', ['full', 'each']) === 'each', $answers->count('spring', 0, 0, 10),
            $answers->choice('direction', ['climb', 'conventional']) === 'climb',
            $answers->choice('compensation', ['control', 'computed']) === 'control' && $job->control->codeOf(Code::CutterLeft) !== null,
            $job->only, $answers->choice('measure', ['no', 'before the finish', 'before the last finish']),
        );
        $answers->gather($leave);
        $answers->gather($finish);

        return $made;
    }

    /** Whether anything is roughed. */
    public function roughs(): bool
    {
        return $this->only !== Only::Finish;
    }

    /** A ring of the roughing, the tool's centre on the chain. */
    public function ring(Path $path, Chain $chain, float $feed, bool $isInside): void
    {
        $path->along($this->isCounterClockwise($isInside) ? $chain : $chain->reversed(), $feed);
    }

    /** All finishes of a wall that belong to a pass, at the height the tool stands at. */
    public function finishes(Path $path, Shape $shape, bool $isInside, Job $job, bool $isLast): void
    {
        if ($this->finishes === 0 || $this->only === Only::Rough || ! ($this->atEach || $isLast)) {
            return;
        }
        for ($pass = $this->finishes - 1; $pass >= 0; $pass--) {
            $before = $pass === 0 && $this->measured === 'before the last finish' || $pass === $this->finishes - 1 && $this->measured === 'before the finish';
            if ($isLast && $before) {
                $this->stopToMeasure($path, $job, ($pass + 1) * $this->wallStep);
            }
            $this->finish($path, $shape, $isInside, $job, $pass * $this->wallStep);
        }
    }

    /** Up and clear; whoever has measured and corrected the diameter goes on from where it was left. */
    private function stopToMeasure(Path $path, Job $job, float $left): void
    {
        $at = $path->at();
        $path->add(new Move(MoveKind::Retract))
            ->add(Move::stop(sprintf('MEASURE: %s IS LEFT ON A WALL. CORRECT D%d', $job->said($left), $job->tool->tool->number)));
        $path->rapid($at->x, $at->y)->rapid(z: max($at->z, $job->usualTop) + $job->clearance)->feed($job->tool->downFeed(), z: $at->z);
    }

    /**
     * The finish of a wall at a height the tool stands at already, and back to where it began: an arc leads in and out.
     *
     * @param  float  $allowance  what is still left on the wall after it
     */
    private function finish(Path $path, Shape $shape, bool $isInside, Job $job, float $allowance): void
    {
        $radius = $job->tool->radius();
        $side = $isInside ? -1 : 1;
        [$nx, $ny] = $shape->outward();
        $lead = $this->leadRadius($shape, $isInside, $radius, $job);
        $byControl = $this->byControl && $lead > $radius + 1e-6;
        // By the control the contour itself is programmed and the cutter is beside it; computed, its centre is.
        $chain = $shape->beside($side * ($allowance + ($byControl ? 0.0 : $radius)));
        if ($chain === null) {
            return;
        }
        $isCcw = $this->isCounterClockwise($isInside);
        $chain = $isCcw ? $chain : $chain->reversed();
        $arc = $byControl ? $lead : $lead - $radius;
        [$tx, $ty] = $isCcw ? [-$ny, $nx] : [$ny, -$nx];
        $center = [$chain->x + $side * $arc * $nx, $chain->y + $side * $arc * $ny];
        $path->feed($this->finishFeed, ...$center);
        if ($byControl) {
            $path->add(new Move($this->isClimb ? MoveKind::CutterLeft : MoveKind::CutterRight));
        }
        $turns = $isInside ? ! $isCcw : $isCcw;
        if ($arc > 1e-6) {
            $path->feed($this->finishFeed, $center[0] - $arc * $tx, $center[1] - $arc * $ty);
            $path->arc($turns, $chain->x, $chain->y, $center, $this->finishFeed);
        } else {
            $path->feed($this->finishFeed, $chain->x, $chain->y);
        }
        for ($n = 0; $n < $this->spring; $n++) {
            $path->along($chain, $this->finishFeed);
        }
        // A straight side is passed a little beyond its start; round a circle every place is as good.
        $over = min(self::LEAD, $shape->straight() / 4);
        $center = [$center[0] + $over * $tx, $center[1] + $over * $ty];
        $path->along($over > 0.0 ? $chain->endingAt($chain->x + $over * $tx, $chain->y + $over * $ty) : $chain, $this->finishFeed);
        if ($arc > 1e-6) {
            $path->arc($turns, $center[0] + $arc * $tx, $center[1] + $arc * $ty, $center, $this->finishFeed);
        }
        if ($byControl) {
            $path->add(new Move(MoveKind::CutterOff));
        }
        $path->feed($this->finishFeed, ...$center);
    }

    /**
     * Where the finish begins and ends: the middle of the arc that leads in.
     *
     * @return array{float, float}
     */
    public function startOf(Shape $shape, bool $isInside, Job $job, float $allowance): array
    {
        $chain = $shape->beside(($isInside ? -1 : 1) * $allowance);
        [$nx, $ny] = $shape->outward();
        $by = ($isInside ? -1 : 1) * $this->leadRadius($shape, $isInside, $job->tool->radius(), $job);

        return $chain === null ? [0.0, 0.0] : [$chain->x + $by * $nx, $chain->y + $by * $ny];
    }

    private function isCounterClockwise(bool $isInside): bool
    {
        return $isInside === $this->isClimb;
    }

    private function leadRadius(Shape $shape, bool $isInside, float $radius, Job $job): float
    {
        $wanted = $radius + self::LEAD;
        $room = $isInside ? $shape->halfWidth() : INF;
        if ($room < $radius + 0.01 && $this->byControl) {
            $job->decide(new Choice('compensation', 'computed: an arc of more than the cutter’s radius, {radius}, does not fit', [
                'radius' => Quantity::length($radius),
            ]));
        }

        return max($radius, min($wanted, $room));
    }
}
