<?php

declare(strict_types=1);

namespace OakTrace\Core\Compensation;

/**
 * One outline under compensation, as it is programmed, and where the cutter comes from and goes to. Who comes from outside of a
 * closed outline and then runs inside of it has crossed the line on the way: the side is the wrong one.
 */
final class Contour
{
    /** Degrees an outline turns by that comes round: a rectangle begun at a corner turns by three quarters. */
    private const ROUND = [225.0, 495.0];

    private const MOST = 5_000;

    /** Corners taken of an arc, for each quarter. */
    private const ARC_CORNERS = 4;

    /** @var list<array{float, float}> */
    private array $corners = [];

    private float $turn = 0.0;

    private ?Segment $last = null;

    private ?Segment $first = null;

    private bool $plunges = false;

    /**
     * @param  array{float, float}  $from  where the lead-in sets out
     * @param  int  $line  of the lead-in
     */
    public function __construct(private readonly array $from, public readonly int $line)
    {
    }

    public function follow(Segment $segment): void
    {
        if (count($this->corners) > self::MOST) {
            $this->corners = [];
            $this->plunges = true; // an outline of so many moves is not kept
        }
        if ($this->plunges) {
            return;
        }
        if ($this->last !== null) {
            $this->turn += rad2deg(atan2(
                $this->last->endDirection[0] * $segment->startDirection[1] - $this->last->endDirection[1] * $segment->startDirection[0],
                $this->last->endDirection[0] * $segment->startDirection[0] + $this->last->endDirection[1] * $segment->startDirection[1],
            ));
        }
        $this->first ??= $segment;
        $this->last = $segment;
        $this->corners[] = $segment->a;
        if ($segment->center !== null) {
            $this->turn += $segment->sweep;
            $count = (int) ceil(abs($segment->sweep) / 90) * self::ARC_CORNERS;
            for ($i = 1; $i < min(64, $count); $i++) {
                $angle = deg2rad($segment->sweep * $i / $count);
                [$x, $y] = [$segment->a[0] - $segment->center[0], $segment->a[1] - $segment->center[1]];
                $this->corners[] = [$segment->center[0] + $x * cos($angle) - $y * sin($angle), $segment->center[1] + $x * sin($angle) + $y * cos($angle)];
            }
        }
    }

    /** The cutter goes down on the way: where it came from lies above the material. */
    public function plunges(): void
    {
        $this->plunges = true;
    }

    /**
     * Whether the cutter runs on the other side of the outline than it comes from and goes to.
     *
     * @param  array{float, float}  $to  where the lead-out ends
     * @return string|null where it runs, inside or outside; null where it is the side it comes from, or that cannot be told
     */
    public function wrongSide(array $to): ?string
    {
        $turn = abs($this->turn);
        if ($this->plunges || $this->first === null || $this->last === null || $turn < self::ROUND[0] || $turn > self::ROUND[1] || ! $this->isClosed()) {
            return null;
        }
        $runsInside = ($this->turn > 0.0) === ($this->last->aside > 0.0);
        $comesInside = $this->holds($this->from);
        if ($comesInside !== $this->holds($to) || $comesInside === $runsInside || $this->distance($this->from) < abs($this->last->aside)) {
            return null;
        }

        return $runsInside ? 'inside' : 'outside';
    }

    /** Whether its ends come together: nearer than the cutter is wide, or by edges that cross. */
    private function isClosed(): bool
    {
        [$first, $last] = [$this->first, $this->last];
        if ($first === null || $last === null) {
            return false;
        }
        $side = static fn (array $a, array $b, array $p): float => ($b[0] - $a[0]) * ($p[1] - $a[1]) - ($b[1] - $a[1]) * ($p[0] - $a[0]);
        $cross = $side($first->a, $first->b, $last->a) * $side(
            $first->a, $first->b, $last->b,
        ) <= 0.0 && $side($last->a, $last->b, $first->a) * $side($last->a, $last->b, $first->b) <= 0.0;

        return $cross || hypot($last->b[0] - $first->a[0], $last->b[1] - $first->a[1]) < 1.8 * abs($last->aside);
    }

    /** @param  array{float, float}  $point */
    private function holds(array $point): bool
    {
        $inside = false;
        foreach ($this->edges() as [[$ax, $ay], [$bx, $by]]) {
            if (($ay > $point[1]) !== ($by > $point[1]) && $point[0] < $ax + ($bx - $ax) * ($point[1] - $ay) / ($by - $ay)) {
                $inside = ! $inside;
            }
        }

        return $inside;
    }

    /** @param  array{float, float}  $point */
    private function distance(array $point): float
    {
        $least = INF;
        foreach ($this->edges() as [[$ax, $ay], [$bx, $by]]) {
            $square = ($bx - $ax) ** 2 + ($by - $ay) ** 2;
            $along = $square < 1e-12 ? 0.0 : max(0.0, min(1.0, (($point[0] - $ax) * ($bx - $ax) + ($point[1] - $ay) * ($by - $ay)) / $square));
            $least = min($least, hypot($point[0] - $ax - $along * ($bx - $ax), $point[1] - $ay - $along * ($by - $ay)));
        }

        return $least;
    }

    /** @return iterable<array{array{float, float}, array{float, float}}> */
    private function edges(): iterable
    {
        $corners = $this->last === null ? $this->corners : [...$this->corners, $this->last->b];
        foreach ($corners as $i => $corner) {
            yield [$corner, $corners[($i + 1) % count($corners)]];
        }
    }
}
