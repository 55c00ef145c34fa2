<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

/** The convex hull of some points of the half-plane, as its lower and its upper side along Z. Millimetres. */
final class Hull
{
    /** Places along Z looked at for how far it comes into something. */
    private const LOOKS = 32;

    public readonly float $least;

    public readonly float $most;

    /** @var non-empty-list<array{float, float}> */
    private array $lower;

    /** @var non-empty-list<array{float, float}> */
    private array $upper;

    /** @param  non-empty-list<array{float, float}>  $points  Z and radius */
    public function __construct(array $points)
    {
        sort($points);
        $this->lower = self::side($points, 1.0);
        $this->upper = self::side($points, -1.0);
        $this->least = $points[0][0];
        $this->most = $points[count($points) - 1][0];
    }

    /** The lowest radius at a place within; $at is where the last place to the minus side was, and is moved on. */
    public function low(float $z, int &$at): float
    {
        return self::at($this->lower, $z, $at);
    }

    /** The greatest radius, likewise. */
    public function high(float $z, int &$at): float
    {
        return self::at($this->upper, $z, $at);
    }

    /** Whether some of it is as far from the axis as what lies between two radii. */
    public function liesBeside(float $inner, float $outer): bool
    {
        return min(array_column($this->lower, 1)) < $outer && max(array_column($this->upper, 1)) > $inner;
    }

    /**
     * How far it comes into a rectangle, mm along the shorter way out; 0 where it does not.
     *
     * @param  float  $toZ  its edge towards plus; towards minus it has no end
     */
    public function into(float $toZ, float $fromX, float $toX): float
    {
        if ($this->least >= $toZ) {
            return 0.0;
        }
        $deepest = 0.0;
        [$lower, $upper] = [0, 0];
        for ($i = 0; $i <= self::LOOKS; $i++) {
            $z = $this->least + (min($toZ, $this->most) - $this->least) * $i / self::LOOKS;
            $deepest = max($deepest, min($this->high($z, $upper), $toX) - max($this->low($z, $lower), $fromX));
        }

        return max(0.0, min($deepest, $toZ - $this->least));
    }

    /** How far it and another lie in each other, mm along the shortest way apart; 0 where they do not. */
    public function overlap(self $other): float
    {
        if ($this->least >= $other->most || $other->least >= $this->most) {
            return 0.0;
        }
        $least = INF;
        [$mine, $others] = [$this->corners(), $other->corners()];
        foreach ([$mine, $others] as $corners) {
            foreach ($corners as $i => [$z, $x]) {
                [$toZ, $toX] = $corners[$i + 1] ?? $corners[0];
                $length = hypot($toZ - $z, $toX - $x);
                if ($length > 1e-9) {
                    $least = min($least, self::along(($toX - $x) / $length, ($z - $toZ) / $length, $mine, $others));
                }
                if ($least <= 0.0) {
                    return 0.0; // this line stands between them
                }
            }
        }

        return $least === INF ? 0.0 : $least;
    }

    /**
     * How far two outlines lie in each other as seen along a direction.
     *
     * @param  non-empty-list<array{float, float}>  $mine
     * @param  non-empty-list<array{float, float}>  $others
     */
    private static function along(float $byZ, float $byX, array $mine, array $others): float
    {
        $ends = [];
        foreach ([$mine, $others] as $corners) {
            $at = array_map(static fn (array $corner): float => $corner[0] * $byZ + $corner[1] * $byX, $corners);
            $ends[] = [min($at), max($at)];
        }

        return min($ends[0][1] - $ends[1][0], $ends[1][1] - $ends[0][0]);
    }

    /** @return non-empty-list<array{float, float}> all the way round */
    private function corners(): array
    {
        return [...$this->lower, ...array_reverse($this->upper)];
    }

    /** @param  non-empty-list<array{float, float}>  $side */
    private static function at(array $side, float $z, int &$at): float
    {
        $last = count($side) - 2;
        while ($at < $last && $side[$at + 1][0] < $z) {
            $at++;
        }
        [$z0, $x0] = $side[$at];
        [$z1, $x1] = $side[min($at + 1, $last + 1)];

        return $z1 - $z0 < 1e-12 ? $x0 : $x0 + ($x1 - $x0) * ($z - $z0) / ($z1 - $z0);
    }

    /**
     * @param  non-empty-list<array{float, float}>  $sorted
     * @param  float  $turn  1 for the lower side, -1 for the upper
     * @return non-empty-list<array{float, float}>
     */
    private static function side(array $sorted, float $turn): array
    {
        $side = [];
        foreach ($sorted as $point) {
            while (($n = count($side)) > 1) {
                [$a, $b] = [$side[$n - 2], $side[$n - 1]];
                if ($turn * (($b[0] - $a[0]) * ($point[1] - $a[1]) - ($b[1] - $a[1]) * ($point[0] - $a[0])) > 0.0) {
                    break;
                }
                array_pop($side);
            }
            $side[] = $point;
        }

        return $side;
    }
}
