<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Control\Plane;
use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\Distance;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Trace\MotionKind;

/** One move of a tool near the stock, in the stock's coordinates, mm. Made only where it may cut. */
final readonly class Move
{
    /** As far as a chord may stand off an arc that stands upright, mm, and how many of them there are at the most. */
    private const CHORD_ERROR = 0.005;

    private const MOST_CHORDS = 2_000;

    /** As far as a chord goes round. */
    private const MOST_DEGREES = 15.0;

    /** Pieces of a move at the most. */
    private const MOST_PIECES = 64;

    // Its ends, as the hot loops want them.

    public float $x0;

    public float $y0;

    public float $z0;

    public float $x1;

    public float $y1;

    public float $z1;

    /** @var non-empty-list<PartPoint> places along it; an arc in chords */
    public array $path;

    /** An arc about an upright axis. */
    public ?Arc $round;

    /** How often an arc goes round on its way up or down. */
    public float $turns;

    /**
     * @param  int  $kind  of MotionKind
     * @param  float  $length  of its path
     * @param  PartPoint|null  $next  where the move at feed ends that the same tool makes right behind it; null where there is none
     */
    public function __construct(
        public int $line,
        public int $row,
        public Tool $tool,
        public Cutter $cutter,
        public int $kind,
        public bool $inCycle,
        public PartPoint $from,
        public PartPoint $to,
        public float $length,
        ?Arc $arc = null,
        Plane $plane = Plane::XY,
        public ?PartPoint $next = null,
    ) {
        [$this->x0, $this->y0, $this->z0] = $from->each();
        [$this->x1, $this->y1, $this->z1] = $to->each();
        $this->round = $arc !== null && $plane->normal() === AxisName::Z ? $arc : null;
        $this->turns = $arc !== null && $to->z !== $from->z ? abs($arc->sweep) / 360 : 0.0;
        $this->path = $arc === null ? [$from, $to] : $this->places($arc, $plane);
    }

    /** How far from its axis the tool or what holds it may touch something. */
    public function reach(): float
    {
        return max($this->tool->radius(), 0.0, ...array_map(static fn (array $step): float => $step['diameter'] / 2, $this->tool->holding->holder));
    }

    /** @return array{float, float, float, float} least X and Y, greatest X and Y of its path, but for how far a chord stands off */
    public function bounds(): array
    {
        [$xs, $ys] = [array_column($this->path, 'x'), array_column($this->path, 'y')];

        return [min($xs) - self::CHORD_ERROR, min($ys) - self::CHORD_ERROR, max($xs) + self::CHORD_ERROR, max($ys) + self::CHORD_ERROR];
    }

    /**
     * How far a place is from its path at the least, seen from above: from the whole circle of an arc about an upright axis; else within as far
     * as a chord stands off.
     */
    public function distance(float $x, float $y): float
    {
        if ($this->round !== null) {
            return abs($this->round->radius($x, $y) - $this->round->radius($this->x0, $this->y0));
        }
        $least = INF;
        for ($i = 1, $count = count($this->path); $i < $count; $i++) {
            [$from, $to] = [$this->path[$i - 1], $this->path[$i]];
            $least = min($least, Distance::fromWay([$x, $y], [$from->x, $from->y], [$to->x, $to->y]));
        }

        return $least;
    }

    /** Straight up or down. */
    public function isPlunge(): bool
    {
        return abs($this->x1 - $this->x0) < 1e-9 && abs($this->y1 - $this->y0) < 1e-9 && $this->kind !== MotionKind::ARC;
    }

    /**
     * A level or sloping move at feed is taken in pieces, so that it is seen where on its way it takes most.
     *
     * @return list<list<float>> what Sweep::arc() is to be given besides the cutter where it is round, and Sweep::straight() otherwise
     */
    public function pieces(): array
    {
        $each = $this->length / max(1, count($this->path) - 1);
        $count = $this->kind === MotionKind::RAPID ? 1 : (int) max(1, min(self::MOST_PIECES, floor($each / max(2 * $this->cutter->radius, 1e-6))));
        $pieces = [];
        if ($this->round !== null) {
            [$centerX, $centerY, $sweep] = [$this->round->first, $this->round->second, $this->round->sweep];
            // A way of more than a turn is lowest where it comes by last.
            $count = abs($sweep) > 360.0 ? 1 : $count;
            $radius = hypot($this->x0 - $centerX, $this->y0 - $centerY);
            $start = atan2($this->y0 - $centerY, $this->x0 - $centerX);
            [$from, $to] = [$this->z0, $this->z1];
            for ($n = 0; $n < $count; $n++) {
                $at = $start + deg2rad($sweep) * $n / $count;
                [$x, $y] = $n === 0 ? [$this->x0, $this->y0] : [$centerX + $radius * cos($at), $centerY + $radius * sin($at)];
                $z = static fn (float $share): float => $share >= 1.0 ? $to : $from + ($to - $from) * $share;
                $pieces[] = [$x, $y, $centerX, $centerY, $sweep / $count, $z($n / $count), $z(($n + 1) / $count)];
            }

            return $pieces;
        }
        for ($i = 1, $last = count($this->path); $i < $last; $i++) {
            [$from, $to] = [$this->path[$i - 1]->each(), $this->path[$i]->each()];
            $at = $from;
            for ($n = 1; $n <= $count; $n++) {
                $next = $n === $count ? $to : array_map(static fn (float $a, float $b): float => $a + ($b - $a) * $n / $count, $from, $to);
                $pieces[] = [...$at, ...$next];
                $at = $next;
            }
        }

        return $pieces;
    }

    /**
     * An arc as places along it.
     *
     * @return non-empty-list<PartPoint>
     */
    private function places(Arc $arc, Plane $plane): array
    {
        [$a, $b] = $plane->places();
        $from = $this->from->each();
        $count = $arc->chordsAt($arc->radius($from[$a], $from[$b]), self::CHORD_ERROR, self::MOST_CHORDS);
        // A small one is looked at along its way all the same.
        $count = (int) max(2, $count, ceil(abs($arc->sweep) / self::MOST_DEGREES));

        return array_map(PartPoint::of(...), $arc->places($from, $this->to->each(), [$a, $b], $count));
    }
}
