<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Compensation\CutterPath;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\RapidPath;
use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Trace\ThreadDetail;
use OakTrace\Core\Trace\TraceBuilder;

/** Where the axes stand, and the moves that take them elsewhere. Positions are machine coordinates, mm or degrees. */
final class MotionRecorder
{
    /** @var list<float> */
    public array $at;

    /** Mark bits of the axes: tied to the work offset, touched. */
    public int $axisMarks = 0;

    /** Mark bits that every row carries until they are taken back (CYCLE). */
    public int $rowMarks = 0;

    public int $line = 0;

    /** While it is there, moves go to it, and it writes where the tool's centre runs. */
    public ?CutterPath $cutter = null;

    /** While it is there, moves go to it and are not made. */
    public ?ContourCapture $capture = null;

    /** @var array{bool, float, string, int}|null of the corner the next move at feed ends in, what breakNext() has */
    private ?array $breaks = null;

    private ?HeldCorner $held = null;

    private int $stateNumber = -1;

    /** @param  list<float>  $start */
    public function __construct(
        private readonly Machine $machine,
        private readonly ModalState $modal,
        private readonly TraceBuilder $trace,
        array $start,
    ) {
        $this->at = $start;
    }

    /** Says that something in the modal state is no longer what the rows before were made under. */
    public function stateChanged(): void
    {
        $this->stateNumber = -1;
    }

    /** @param  list<float>  $target */
    public function rapid(array $target, int $marks = 0): void
    {
        if ($this->held !== null) {
            $this->dropCorner();
        }
        if ($target === $this->at && $this->cutter === null) {
            return;
        }
        if ($this->machine->control->options->rapidPath === RapidPath::Independent) {
            foreach ($this->legs($target) as $corner) {
                $this->row(MotionKind::RAPID, $corner, 0.0, $marks | ($corner === $target ? 0 : Mark::BENT));
            }
        } else {
            $this->row(MotionKind::RAPID, $target, 0.0, $marks);
        }
    }

    /** @param  list<float>  $target */
    public function feed(array $target, int $marks = 0): void
    {
        if ($this->held !== null) {
            $this->breakCorner($target);
        }
        if ($target === $this->at && $this->cutter === null) {
            $this->breaks = null;

            return;
        }
        $feed = $this->modal->feed;
        if ($feed <= 0.0) {
            $this->needFeed();
        } elseif ($this->modal->modes->feedMode === Code::InverseTime) {
            $feed *= $this->distance($target);
        }
        if ($this->breaks !== null) {
            [$isRound, $size, $letter, $towards] = $this->breaks;
            $this->held = new HeldCorner(
                $isRound, $size, $letter, $towards, $this->at, $target, $this->line, $this->stateNumber(), $this->axisMarks | $this->rowMarks | $marks,
                $feed,
            );
            $this->breaks = null;
            $this->at = $target;

            return;
        }
        if ($this->cutter !== null || $this->capture !== null) {
            $this->row(MotionKind::FEED, $target, $feed, $marks);

            return;
        }
        $this->trace->add(
            MotionKind::FEED, $this->line, $this->stateNumber < 0 ? $this->stateNumber() : $this->stateNumber,
            $this->axisMarks | $this->rowMarks | $marks, $target, $feed,
        );
        $this->at = $target;
    }

    /** Whether moves at the feed in force can be handed on several at a time. */
    public function mayFeedAlong(): bool
    {
        return $this->cutter === null && ! $this->holds() && $this->modal->motionStated && $this->modal->feed > 0.0
            && $this->modal->modes->feedMode !== Code::InverseTime;
    }

    /**
     * Moves at the feed in force, one after another, where mayFeedAlong().
     *
     * @param  list<int>  $lines  place of each
     * @param  list<list<float>>  $ends  of each axis, where each of them leads, which is not where it begins; as many
     */
    public function feedAlong(array $lines, array $ends): void
    {
        if ($lines !== []) {
            $this->trace->addSeveral(MotionKind::FEED, $lines, $this->stateNumber(), $this->axisMarks | $this->rowMarks, $ends, $this->modal->feed);
            $this->at = array_column($ends, count($lines) - 1);
        }
    }

    /**
     * A feed move in step with the spindle.
     *
     * @param  list<float>  $target
     * @param  float  $pitch  length of a turn, in units of $unit mm
     */
    public function feedInStep(array $target, float $pitch, float $unit): void
    {
        $feed = $this->modal->feed;
        $this->modal->feed = $this->modal->spindle->turn === 0 ? 0.0 : $pitch * $unit * $this->modal->spindle->rpm;
        $this->feed($target);
        $this->modal->feed = $feed;
    }

    /** Whether moves are kept back, or gathered instead of made. */
    public function holds(): bool
    {
        return $this->held !== null || $this->capture !== null;
    }

    /**
     * The corner the next move at feed ends in is rounded by a radius, or broken by a chamfer with such legs, mm.
     *
     * @param  int  $towards  see HeldCorner
     */
    public function breakNext(bool $isRound, float $size, string $letter, int $towards): void
    {
        $this->breaks = [$isRound, $size, $letter, $towards];
    }

    /** A corner to be broken that no straight move follows stays as it is, and is noted. */
    public function dropCorner(): void
    {
        $held = $this->held;
        $this->breaks = null;
        if ($held !== null) {
            $this->held = null;
            $this->trace->notice(new Notice('corner-without-next', $held->line, 1, ['letter' => $held->letter]));
            $this->at = $held->from;
            $this->emitHeld($held, $held->to);
        }
    }

    /**
     * A feed move of a thread.
     *
     * @param  list<float>  $target
     * @param  float  $lead  mm a turn, as F says it
     * @return bool whether its lead lasts to the end
     */
    public function thread(array $target, float $lead, ThreadDetail $detail): bool
    {
        $feed = $this->modal->feed;
        $share = $this->machine->leadShare($this->at, $target);
        $mean = $detail->meanLead($lead, $this->distance($target) * $share);
        $this->modal->feed = $this->modal->spindle->turn === 0 ? 0.0 : ($mean ?? $lead) * $this->modal->spindle->rpm / $share;
        $this->feed($target, Mark::THREAD);
        if ($detail->written() !== null) {
            $this->trace->detail($detail->written());
        }
        $this->modal->feed = $feed;

        return $mean !== null;
    }

    /**
     * An arc at feed about a centre in the plane in force.
     *
     * @param  list<float>  $target
     */
    public function arcAbout(array $target, Arc $about): void
    {
        $arc = new ArcSolver(0.0);
        [$arc->centerFirst, $arc->centerSecond, $arc->sweep] = [$about->first, $about->second, $about->sweep];
        $this->arc($target, $arc);
    }

    /**
     * Breaks the corner that is kept, now that it is known where the next move goes.
     *
     * @param  list<float>  $next
     */
    private function breakCorner(array $next): void
    {
        $held = $this->held;
        $this->held = null;
        [$first, $second] = $this->planeColumns();
        if ($held === null) {
            return;
        }
        $corner = $held->leads($next, $first, $second) ? $held->between($next, $first, $second) : null;
        if ($corner === null) {
            $kind = $held->leads($next, $first, $second) ? 'corner-too-short' : 'corner-wrong-way';
            $this->trace->notice(new Notice($kind, $held->line, 1, ['letter' => $held->letter]));
            $this->at = $held->from;
            $this->emitHeld($held, $held->to);

            return;
        }
        [$leaves, $comes, $arc] = $corner;
        $this->at = $held->from;
        $this->emitHeld($held, self::replaced($held->to, $first, $second, $leaves));
        $this->emitHeld($held, self::replaced($held->to, $first, $second, $comes), $arc);
    }

    /** @return array{int, int} columns of the axes of the plane */
    private function planeColumns(): array
    {
        $plane = $this->modal->modes->plane;

        return [$this->machine->axisIndex[$plane->first()] ?? 0, $this->machine->axisIndex[$plane->second()] ?? 0];
    }

    /**
     * @param  list<float>  $place
     * @param  array{float, float}  $in
     * @return list<float>
     */
    private static function replaced(array $place, int $first, int $second, array $in): array
    {
        [$place[$first], $place[$second]] = $in;

        /** @var list<float> */
        return $place;
    }

    /** @param  list<float>  $target */
    private function emitHeld(HeldCorner $held, array $target, ?Arc $arc = null): void
    {
        $from = $this->at;
        if ($this->capture !== null) {
            $this->capture->add($arc === null ? MotionKind::FEED : MotionKind::ARC, $held->line, $from, $target, $arc);
        } elseif ($this->cutter !== null) {
            $this->cutter->move(
                $arc === null ? MotionKind::FEED : MotionKind::ARC, $held->line, $held->state, $held->marks, $held->feed, $from, $target,
                ...($arc === null ? [] : [[$arc->first, $arc->second], $arc->sweep]),
            );
        } elseif ($arc === null) {
            $this->trace->add(MotionKind::FEED, $held->line, $held->state, $held->marks, $target, $held->feed);
        } else {
            $this->trace->addArc($held->line, $held->state, $held->marks, $target, $held->feed, $arc);
        }
        $this->at = $target;
    }

    /** Marks an axis as standing somewhere no work offset carries it. */
    public function leaveWorkOffset(int $axis): void
    {
        $this->axisMarks = ($this->axisMarks | Mark::touched($axis)) & ~Mark::tied($axis);
    }

    /** @param  list<float>  $target */
    public function arc(array $target, ArcSolver $arc, int $marks = 0): void
    {
        if ($this->held !== null) {
            $this->dropCorner();
        }
        if ($this->capture !== null) {
            $this->capture->add(MotionKind::ARC, $this->line, $this->at, $target, new Arc($arc->centerFirst, $arc->centerSecond, $arc->sweep));
            $this->at = $target;

            return;
        }
        $feed = $this->modal->feed;
        if ($feed <= 0.0) {
            $this->needFeed();
        } elseif ($this->modal->modes->feedMode === Code::InverseTime) {
            $feed *= hypot($arc->startRadius * deg2rad($arc->sweep), $this->rise($target));
        }
        if ($this->cutter !== null) {
            $this->cutter->move(
                MotionKind::ARC, $this->line, $this->stateNumber(), $this->axisMarks | $this->rowMarks | $marks, $feed, $this->at, $target,
                [$arc->centerFirst, $arc->centerSecond], $arc->sweep,
            );
            $this->at = $target;
            $this->dropCutter();

            return;
        }
        $this->trace->addArc(
            $this->line, $this->stateNumber(), $this->axisMarks | $this->rowMarks | $marks, $target, $feed,
            new Arc($arc->centerFirst, $arc->centerSecond, $arc->sweep),
        );
        $this->at = $target;
    }

    /** @param  int  $turn 1 clockwise, -1 counter-clockwise, 0 stopped */
    public function turnSpindle(int $turn): void
    {
        $this->modal->spindle = $this->modal->spindle->turning($turn);
        $this->modal->refreshFeed();
        $this->stateChanged();
        $this->event(MotionKind::SPINDLE);
    }

    public function event(int $kind, float|string|null $detail = null): void
    {
        if ($this->held !== null) {
            $this->dropCorner();
        }
        if ($this->capture !== null) {
            return;
        }
        if ($this->cutter !== null) {
            $this->cutter->event($kind, $this->line, $this->stateNumber(), $this->axisMarks, $detail);

            return;
        }
        $this->trace->addEvent($kind, $this->line, $this->stateNumber(), $this->axisMarks | $this->rowMarks, $this->at, $detail);
    }

    /** Lets go of a compensation that has led out, or at once; then the axes stand where it left them. */
    public function dropCutter(bool $atOnce = false): void
    {
        if ($this->cutter !== null && ($atOnce || $this->cutter->isDone())) {
            $this->cutter->flush();
            $this->at = $this->cutter->at();
            $this->cutter = null;
        }
    }

    /** @param  list<float>  $target */
    private function row(int $kind, array $target, float $feed, int $marks): void
    {
        if ($this->capture !== null) {
            $this->capture->add($kind, $this->line, $this->at, $target);
            $this->at = $target;

            return;
        }
        if ($this->cutter !== null) {
            if ($kind === MotionKind::RAPID && $this->cutter->crosses() && ! $this->machine->control->options->turning->compensationOnRapid) {
                $this->trace->notice(new Notice('compensation-at-rapid', $this->line, 1));
            }
            $this->cutter->move($kind, $this->line, $this->stateNumber(), $this->axisMarks | $this->rowMarks | $marks, $feed, $this->at, $target);
            $this->at = $target;
            $this->dropCutter();

            return;
        }
        $this->trace->add($kind, $this->line, $this->stateNumber(), $this->axisMarks | $this->rowMarks | $marks, $target, $feed);
        $this->at = $target;
    }

    private function stateNumber(): int
    {
        if ($this->stateNumber < 0) {
            $this->stateNumber = $this->trace->state($this->modal->snapshot());
        }

        return $this->stateNumber;
    }

    /** A feed per revolution with the spindle stopped is state.feed-mode's affair. */
    private function needFeed(): void
    {
        if ($this->modal->modes->feedMode === Code::FeedPerRevolution && $this->modal->feedWord > 0.0) {
            return;
        }
        $this->trace->notice(new Notice('no-feed', $this->line, 1));
    }

    /**
     * How far it is to a point on the linear axes, mm; where rotary ones alone move their degrees, in the unit F has there (NISTIR 6556).
     *
     * @param  list<float>  $target
     */
    private function distance(array $target): float
    {
        $linear = $rotary = 0.0;
        foreach ($this->machine->axisNames as $axis => $name) {
            $step = $target[$axis] - $this->at[$axis];
            if ($this->machine->axes[$name]->isRotary()) {
                $rotary += $step * $step;
            } else {
                $linear += $step * $step;
            }
        }

        return $linear > 0.0 ? sqrt($linear) : sqrt($rotary) * $this->modal->modes->units->millimetres();
    }

    /** @param  list<float>  $target */
    private function rise(array $target): float
    {
        $axis = $this->machine->axisIndex[$this->modal->modes->plane->normal()] ?? null;

        return $axis === null ? 0.0 : $target[$axis] - $this->at[$axis];
    }

    /**
     * The corners of a rapid on which every axis goes at its own rate: the quickest axis arrives first and the path
     * bends. An axis without a stated rate counts as slowest of all.
     *
     * @param  list<float>  $target
     * @return list<list<float>>
     */
    private function legs(array $target): array
    {
        $duration = [];
        foreach ($this->machine->axisNames as $axis => $name) {
            $distance = abs($target[$axis] - $this->at[$axis]);
            $rate = $this->machine->axes[$name]->rapid ?? 0.0;
            $duration[$axis] = $distance === 0.0 ? 0.0 : ($rate > 0.0 ? $distance / $rate : INF);
        }
        $moments = array_unique(array_filter($duration, static fn (float $time): bool => $time > 0.0 && $time < INF));
        sort($moments);
        $corners = [];
        foreach ($moments as $i => $moment) {
            if (($moments[$i + 1] ?? INF) - $moment < 1e-9 * $moment) {
                continue; // the next axis arrives with this one
            }
            $corner = [];
            foreach ($target as $axis => $end) {
                $share = $duration[$axis] <= $moment * (1 + 1e-12) ? 1.0 : $moment / $duration[$axis];
                $corner[] = $share === 1.0 ? $end : $this->at[$axis] + ($end - $this->at[$axis]) * $share;
            }
            $corners[] = $corner;
        }
        if (end($corners) !== $target) {
            $corners[] = $target;
        }

        return $corners;
    }
}
