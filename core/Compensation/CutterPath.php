<?php

declare(strict_types=1);

namespace OakTrace\Core\Compensation;

use OakTrace\Core\Control\OutsideCorner;
use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Trace\TraceBuilder;

/**
 * The path of the cutter's centre beside the programmed path. Holds back the last move in the plane until the next one is
 * known, so that corners meet: inside where the offset moves cross, outside by an arc or by extended lines. Moves that leave
 * the plane and events in between wait with it. Positions are machine coordinates, mm or degrees.
 */
final class CutterPath
{
    /** Directions that differ by less go straight on. */
    private const SMOOTH = 1e-6;

    /** How far a settled move may run backwards by rounding alone, mm or degrees. */
    private const ROUNDING = 1e-6;

    /** A radius rounded to three decimals still fits (common practice). */
    private const TOUCH = 1e-3;

    /** How far two moves that join smoothly may miss each other for the rounding of their figures, mm: two steps of 0.0001 in. */
    private const NO_CORNER = 5e-3;

    /** How far rounding may turn the end of a move, mm at its length or radius; a corner of more than SLIGHT, in radians, is one. */
    private const ROUNDED = 3e-3;

    private const SLIGHT = 0.1;

    /** @var list<float> where the middle of the cutter stands, as far as that is settled */
    private array $at;

    private ?Segment $held = null;

    /** Whether the held move is the one that leads in. */
    private bool $leadsIn = false;

    private bool $leading = true;

    private bool $ending = false;

    /** @var list<array{int, int, int, int, list<float>|null, float, float|string|null}> kind, line, state, marks, target, feed, detail */
    private array $waiting = [];

    /** @var list<array{array{float, float}, array{float, float}, int}> the last settled moves: start, end, line */
    private array $recent = [];

    private int $lastNotice = 0;

    private ?Contour $contour = null;

    /**
     * @param  list<float>  $at  where the axes really stand
     * @param  int  $first  axis of the plane
     * @param  int  $second  axis of the plane
     * @param  array{float, float}  $tip  from the middle of a turning tool's nose to the tip that is programmed, on both axes
     */
    public function __construct(
        private readonly TraceBuilder $trace,
        array $at,
        private readonly int $first,
        private readonly int $second,
        private float $aside,
        private readonly OutsideCorner $corner,
        private readonly int $lookAhead,
        private readonly array $tip = [0.0, 0.0],
    ) {
        $this->at = $this->moved($at, -1);
    }

    /** Changes side or radius from the next move on; negative is to the right. */
    public function useAside(float $aside): void
    {
        $this->aside = $aside;
        $this->ending = false;
    }

    /** The next straight move in the plane leads out. */
    public function end(): void
    {
        $this->ending = true;
    }

    /** Whether the next move leads in or out. */
    public function crosses(): bool
    {
        return $this->ending || $this->leading;
    }

    /** Whether it has led out and nothing waits. */
    public function isDone(): bool
    {
        return $this->ending && $this->leading && $this->held === null;
    }

    /** @return list<float> where the axes stand, as far as that is settled */
    public function at(): array
    {
        return $this->moved($this->at, 1);
    }

    /**
     * From the middle of the nose to the tip, or back.
     *
     * @param  list<float>  $place
     * @return list<float>
     */
    private function moved(array $place, int $way): array
    {
        $place[$this->first] += $way * $this->tip[0];
        $place[$this->second] += $way * $this->tip[1];

        /** @var list<float> */
        return $place;
    }

    public function event(int $kind, int $line, int $state, int $marks, float|string|null $detail): void
    {
        $this->wait([$kind, $line, $state, $marks, null, 0.0, $detail]);
    }

    /**
     * A programmed move.
     *
     * @param  list<float>  $from  programmed
     * @param  list<float>  $to  programmed
     * @param  array{float, float}|null  $center  of an arc in the plane
     * @param  float  $sweep  of an arc, degrees, negative when clockwise
     */
    public function move(int $kind, int $line, int $state, int $marks, float $feed, array $from, array $to, ?array $center = null, float $sweep = 0.0): void
    {
        $a = [$from[$this->first], $from[$this->second]];
        $b = [$to[$this->first], $to[$this->second]];
        if ($center === null && hypot($b[0] - $a[0], $b[1] - $a[1]) < 1e-9) {
            if (! $this->ending || $this->held !== null || $from !== $to) {
                $this->wait([$kind, $line, $state, $marks, $to, $feed, null]);
            }

            return;
        }
        $segment = new Segment($kind, $line, $state, $marks | Mark::COMPENSATED, $feed, $to, $a, $b, $center, $sweep, $this->aside);
        if ($this->ending) {
            $this->leadOut($segment);
        } elseif ($this->leading) {
            $this->leadIn($segment);
        } else {
            $this->follow($segment);
        }
    }

    /** Lets everything go that is held back, its end square to its own direction. */
    public function flush(): void
    {
        if ($this->held !== null) {
            $this->settle($this->held);
            $this->held = null;
        }
        $this->release();
    }

    /** @param  array{int, int, int, int, list<float>|null, float, float|string|null}  $item */
    private function wait(array $item): void
    {
        if ($item[4] !== null && $item[4] !== $this->at) {
            $this->contour?->plunges();
        }
        $this->waiting[] = $item;
        if ($this->held === null) {
            $this->release();
        } elseif (count(array_filter($this->waiting, static fn (array $waiting): bool => $waiting[4] !== null)) > $this->lookAhead) {
            $this->notice('compensation-blind', $item[1], ['most' => $this->lookAhead]);
            $this->flush();
            $this->leadsIn = false;
        }
    }

    private function leadIn(Segment $segment): void
    {
        if ($segment->center !== null) {
            $this->notice('compensation-entry-arc', $segment->line);
            $this->leading = false;
            $this->straight($segment, $segment->start);
            $this->held = $segment;
            $this->leadsIn = false;

            return;
        }
        if ($segment->length() < abs($this->aside) - self::TOUCH) {
            $this->notice(
                'compensation-entry-short', $segment->line,
                ['length' => Quantity::length($segment->length()), 'radius' => Quantity::length(abs($this->aside))],
            );
        }
        $this->contour = new Contour($segment->a, $segment->line);
        $this->leading = false;
        $this->leadsIn = true;
        $segment->start = [$this->at[$this->first], $this->at[$this->second]]; // it sets out from where the tool stands
        $this->held = $segment;
    }

    private function leadOut(Segment $segment): void
    {
        $length = $segment->length();
        $led = $this->held !== null && ! $this->leading;
        if (
            $led && $this->held !== null && $segment->center === null
            && self::crossProduct(
                $this->held->endDirection, [$segment->b[0] - $this->held->b[0], $segment->b[1] - $this->held->b[1]],
            ) * ($this->held->aside <=> 0.0) < abs($this->held->aside) - self::TOUCH
        ) {
            $this->notice('compensation-exit-near', $segment->line);
        }
        if ($led && $segment->center !== null) {
            $this->notice('compensation-entry-arc', $segment->line);
        } elseif ($led && $length < abs($this->aside) - self::TOUCH) {
            $this->notice('compensation-entry-short', $segment->line, ['length' => Quantity::length($length), 'radius' => Quantity::length(abs($this->aside))]);
        }
        $wrong = $led ? $this->contour?->wrongSide($segment->b) : null;
        if ($wrong !== null && $this->contour !== null) {
            $this->notice(
                'compensation-wrong-side', $this->contour->line,
                ['runs' => $wrong, 'comes' => $wrong === 'inside' ? 'outside' : 'inside', 'side' => $this->aside > 0.0 ? 'left' : 'right'],
            );
        }
        $this->contour = null;
        $this->flush();
        $kind = $segment->kind === MotionKind::ARC ? MotionKind::FEED : $segment->kind;
        $this->row($kind, $segment->line, $segment->state, $segment->marks | ($segment->center === null ? 0 : Mark::UNCERTAIN),
            $this->moved($segment->to, -1), $segment->feed);
        $this->trace->programmed($segment->b[0], $segment->b[1]);
        $this->leading = true;
        $this->recent = [];
    }

    /** The corner between the move held back and the next one. */
    private function follow(Segment $next): void
    {
        $this->contour?->follow($next);
        $held = $this->held;
        if ($next->center !== null && $next->radius <= self::TOUCH) {
            $radius = hypot($next->a[0] - $next->center[0], $next->a[1] - $next->center[1]);
            if ($next->radius < -self::TOUCH) {
                $this->tooTight($next, $radius);
            }
            $this->standStill($next);

            return;
        }
        if ($held === null) {
            $this->straight($next, $next->start);
            $this->held = $next;

            return;
        }
        if ($this->leadsIn) {
            // The lead-in ends square to the move it leads to.
            $held->end = $next->start;
            $this->settle($held);
            $this->release();
            $this->leadsIn = false;
            $this->held = $next;

            return;
        }
        $corner = $this->meet($held, $next);
        $this->settle($held);
        $this->release();
        $this->turn($corner, $held, $next);
        $this->held = $next;
    }

    /** An arc the cutter just fills, or cannot follow: its centre waits at the end of the move before, and goes on in the arc's last direction. */
    private function standStill(Segment $arc): void
    {
        if ($this->held !== null) {
            $this->settle($this->held);
            $this->release();
        }
        $before = [$arc->b[0] - 1e-6 * $arc->endDirection[0], $arc->b[1] - 1e-6 * $arc->endDirection[1]];
        $this->held = new Segment(MotionKind::FEED, $arc->line, $arc->state, $arc->marks, $arc->feed, $arc->to, $before, $arc->b, null, 0.0, $arc->aside);
        $this->held->start = $this->held->end = [$this->at[$this->first], $this->at[$this->second]];
        $this->leadsIn = false;
    }

    /** Settles where one move ends and the next begins. */
    private function meet(Segment $one, Segment $next): Corner
    {
        if ($one->aside !== $next->aside) {
            return Corner::Straight;
        }
        $cross = self::crossProduct($one->endDirection, $next->startDirection);
        $dot = $one->endDirection[0] * $next->startDirection[0] + $one->endDirection[1] * $next->startDirection[1];
        if (abs($cross) < self::SMOOTH && $dot > 0) {
            $next->start = $one->end;

            return Corner::Met;
        }
        if (abs($cross) < self::SMOOTH) {
            $this->notice('compensation-turns-back', $next->line, ['how' => 'back']);
        } elseif ($cross * $one->aside > 0) {
            return $this->inside($one, $next);
        }
        if ($one->kind === MotionKind::RAPID && $next->kind === MotionKind::RAPID) {
            return Corner::Straight;
        }

        return $this->corner === OutsideCorner::Arc ? Corner::Round : Corner::Extended;
    }

    private function inside(Segment $one, Segment $next): Corner
    {
        $meeting = Intersection::of($one, $next, $one->b);
        if (
            $meeting === null || $one->along($meeting) < $one->along($one->start) - self::ROUNDING
            || $next->along($meeting) > $next->reach() + self::ROUNDING
        ) {
            // Rounded figures make a smooth join miss itself a little, which is no corner.
            if (hypot($one->end[0] - $next->start[0], $one->end[1] - $next->start[1]) <= self::mayMiss($one, $next)) {
                $next->start = $one->end;

                return Corner::Met;
            }
            $this->tooTight($next, null);

            return Corner::Straight;
        }
        $one->end = $next->start = $meeting;

        return Corner::Met;
    }

    /** By how much two moves aside of a smooth join may miss each other: rounding turns a short line or a small arc, and the cutter reaches far. */
    private static function mayMiss(Segment $one, Segment $next): float
    {
        $turned = static fn (Segment $of): float => self::ROUNDED / max(
            self::ROUNDING, $of->center === null ? $of->length() : hypot($of->b[0] - $of->center[0], $of->b[1] - $of->center[1]),
        );

        return max(self::NO_CORNER, abs($one->aside) * min(self::SLIGHT, max($turned($one), $turned($next))));
    }

    /** Writes the rows that go round a corner. */
    private function turn(Corner $corner, Segment $one, Segment $next): void
    {
        match ($corner) {
            Corner::Met => null,
            Corner::Straight => $this->straight($next, $next->start),
            Corner::Round => $this->round($one, $next, self::turnBetween($one, $next)),
            Corner::Extended => $this->extended($one, $next, abs(deg2rad(self::turnBetween($one, $next)))),
        };
    }

    /** Up to a right angle the lengthened lines meet; beyond it they are cut off square to the corner's middle. */
    private function extended(Segment $one, Segment $next, float $turn): void
    {
        $isCut = $turn > M_PI_2 + 1e-9;
        $reach = abs($one->aside) * tan($turn / ($isCut ? 4 : 2));
        $this->straight($next, [$one->end[0] + $reach * $one->endDirection[0], $one->end[1] + $reach * $one->endDirection[1]]);
        if ($isCut) {
            $this->straight($next, [$next->start[0] - $reach * $next->startDirection[0], $next->start[1] - $reach * $next->startDirection[1]]);
        }
        $this->straight($next, $next->start);
    }

    /** Degrees an outside corner turns by, signed; half a turn goes round the side the tool is on. */
    private static function turnBetween(Segment $one, Segment $next): float
    {
        $cross = self::crossProduct($one->endDirection, $next->startDirection);
        if (abs($cross) < self::SMOOTH) {
            return $one->aside > 0 ? -180.0 : 180.0;
        }

        return rad2deg(atan2($cross, $one->endDirection[0] * $next->startDirection[0] + $one->endDirection[1] * $next->startDirection[1]));
    }

    /**
     * @param  array{float, float}  $u
     * @param  array{float, float}  $v
     */
    private static function crossProduct(array $u, array $v): float
    {
        return $u[0] * $v[1] - $u[1] * $v[0];
    }

    private function tooTight(Segment $segment, ?float $radius): void
    {
        $this->notice('compensation-too-tight', $segment->line, [
            'radius' => Quantity::length(abs($segment->aside)),
            'inside' => $radius === null ? '' : Quantity::length($radius),
        ]);
    }

    /** @param  array<string, Quantity|string|int>  $figures */
    private function notice(string $kind, int $line, array $figures = []): void
    {
        // One step that cannot be entered spoils both of its corners; it is told once.
        if ($kind !== 'compensation-too-tight' || $line !== $this->lastNotice) {
            $this->trace->notice(new Notice($kind, $line, 1, $figures));
        }
        $this->lastNotice = $line;
    }

    /** Writes a move whose ends are known. */
    private function settle(Segment $segment): void
    {
        if ($segment->along($segment->end) < $segment->along($segment->start) - self::ROUNDING && ! $this->leadsIn) {
            $this->tooTight($segment, null);
        }
        $this->crossings($segment);
        $to = $segment->to;
        $to[$this->first] = $segment->end[0];
        $to[$this->second] = $segment->end[1];
        /** @var list<float> $to */
        if ($segment->center !== null && $segment->radius > 0) {
            $this->trace->addArc(
                $segment->line, $segment->state, $segment->marks, $this->moved($to, 1), $segment->feed,
                new Arc($segment->center[0] + $this->tip[0], $segment->center[1] + $this->tip[1], $segment->settledSweep()),
            );
            $this->at = $to;
        } else {
            $this->row(
                $segment->kind === MotionKind::ARC ? MotionKind::FEED : $segment->kind, $segment->line, $segment->state, $segment->marks, $to,
                $segment->feed,
            );
        }
        $this->trace->programmed($segment->to[$this->first], $segment->to[$this->second]);
    }

    /** Whether a straight settled move crosses one of the last ones: the cutter would cut what it has left standing. */
    private function crossings(Segment $segment): void
    {
        $now = [$segment->start, $segment->end, $segment->line];
        $last = count($this->recent) - 1;
        // A rapid cuts nothing: the way back of a turning cycle ends where the cycle began.
        if ($segment->center === null && ! $this->leadsIn && $segment->kind !== MotionKind::RAPID) {
            foreach ($this->recent as $i => [$start, $end]) {
                if ($i < $last && self::cross($start, $end, $segment->start, $segment->end) && ! self::closesOutside($segment, $start, $end)) {
                    $this->notice('compensation-turns-back', $segment->line, ['how' => 'across']);
                    $last = -1;
                }
            }
        }
        if ($segment->center === null) {
            $this->recent[] = $now;
            $this->recent = array_slice($this->recent, -max(3, $this->lookAhead));
        }
    }

    /**
     * Whether a move crosses an earlier one at the sharp corner an outside is closed at: led in along one edge drawn out and led out
     * along the other, the two cross beside the part.
     *
     * @param  array{float, float}  $start  of the earlier move
     * @param  array{float, float}  $end
     */
    private static function closesOutside(Segment $segment, array $start, array $end): bool
    {
        return self::crossProduct($segment->startDirection, [$end[0] - $start[0], $end[1] - $start[1]]) * $segment->aside < 0;
    }

    /**
     * Whether two lines cross well within both; ends that only touch the other line, or overshoot it by their rounding, do not.
     *
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     * @param  array{float, float}  $d
     */
    private static function cross(array $a, array $b, array $c, array $d): bool
    {
        $side = static fn (array $p, array $q, array $r): float => (($q[0] - $p[0]) * ($r[1] - $p[1]) - ($q[1] - $p[1]) * ($r[0] - $p[0]))
            / max(self::ROUNDING, hypot($q[0] - $p[0], $q[1] - $p[1]));
        $isAcross = static fn (float $one, float $other): bool => min(abs($one), abs($other)) > self::NO_CORNER && $one * $other < 0;

        return $isAcross($side($a, $b, $c), $side($a, $b, $d)) && $isAcross($side($c, $d, $a), $side($c, $d, $b));
    }

    /** Everything that waited for the corner happens where the move before it ended. */
    private function release(): void
    {
        foreach ($this->waiting as [$kind, $line, $state, $marks, $target, $feed, $detail]) {
            if ($target === null) {
                $this->trace->addEvent($kind, $line, $state, $marks, $this->at(), $detail);

                continue;
            }
            $target[$this->first] = $this->at[$this->first];
            $target[$this->second] = $this->at[$this->second];
            /** @var list<float> $target */
            $this->row($kind, $line, $state, $marks | Mark::COMPENSATED, $target, $feed);
        }
        $this->waiting = [];
    }

    /** @param  array{float, float}  $point */
    private function straight(Segment $of, array $point): void
    {
        $to = $this->at;
        $to[$this->first] = $point[0];
        $to[$this->second] = $point[1];
        /** @var list<float> $to */
        $this->row($of->kind === MotionKind::ARC ? MotionKind::FEED : $of->kind, $of->line, $of->state, $of->marks, $to, $of->feed);
    }

    /** An arc about the corner itself. */
    private function round(Segment $one, Segment $next, float $angle): void
    {
        $to = $this->at;
        $to[$this->first] = $next->start[0];
        $to[$this->second] = $next->start[1];
        $feed = $next->kind === MotionKind::RAPID ? $one->feed : $next->feed;
        /** @var list<float> $to */
        $this->trace->addArc(
            $next->line, $next->state, $next->marks, $this->moved($to, 1), $feed,
            new Arc($one->b[0] + $this->tip[0], $one->b[1] + $this->tip[1], $angle),
        );
        $this->at = $to;
    }

    /** @param  list<float>  $to */
    private function row(int $kind, int $line, int $state, int $marks, array $to, float $feed): void
    {
        if ($to !== $this->at) {
            $this->trace->add($kind, $line, $state, $marks, $this->moved($to, 1), $feed);
            $this->at = $to;
        }
    }
}
