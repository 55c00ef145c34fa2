<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

/**
 * What stands of a turned stock: cells along Z, each with the radii between which there is material, sorted, so that a groove in a face
 * and a bore under a flange have room. Lengths in millimetres; a cell is exact at its middle.
 */
final class RadiusProfile
{
    /** Material thinner than this is none, mm. */
    private const NOTHING = 1e-9;

    /**
     * @param  float  $from  Z of the first cell's edge
     * @param  list<list<float>>  $cells  of each, inner and outer radius of what stands there, from the axis outwards
     */
    private function __construct(
        public readonly float $from, public readonly float $cell, public array $cells, private readonly ?float $acrossFlats = null,
    ) {
    }

    /**
     * @param  float  $bore  radius of the hole through it
     * @param  list<array{float, float}>  $outer  where it has been turned before: Z and radius, from minus to plus
     * @param  list<array{float, float}>  $inner  of its hole, likewise
     * @param  float|null  $acrossFlats  of a hexagon: what lies beyond it is there in part only
     */
    public static function bar(
        float $from, float $to, float $radius, float $bore, float $cell, array $outer = [], array $inner = [], ?float $acrossFlats = null,
    ): self {
        $count = max(1, (int) round(($to - $from) / $cell));
        $edge = ($to - $from) / $count;
        if ($outer === [] && $inner === []) {
            return new self($from, $edge, array_fill(0, $count, [$bore, $radius]), $acrossFlats);
        }
        $cells = [];
        for ($i = 0; $i < $count; $i++) {
            $z = $from + ($i + 0.5) * $edge;
            [$low, $high] = [max($bore, self::along($inner, $z) ?? $bore), min($radius, self::along($outer, $z) ?? $radius)];
            $cells[] = $high - $low > self::NOTHING ? [$low, $high] : [];
        }

        return new self($from, $edge, $cells, $acrossFlats);
    }

    /**
     * The radius of a shape at a place; null beside its ends.
     *
     * @param  list<array{float, float}>  $shape
     */
    private static function along(array $shape, float $z): ?float
    {
        foreach ($shape as $n => [$toZ, $toX]) {
            if ($n > 0 && $z >= $shape[$n - 1][0] && $z < $toZ) {
                [$fromZ, $fromX] = $shape[$n - 1];

                return $fromX + ($toX - $fromX) * ($z - $fromZ) / ($toZ - $fromZ);
            }
        }

        return null;
    }

    /** Z of the last cell's edge. */
    public function to(): float
    {
        return $this->from + count($this->cells) * $this->cell;
    }

    public function count(): int
    {
        return count($this->cells);
    }

    /** How many cells a shape is as long as, about, whether or not it comes over them: making it takes time too. */
    public function cellsAlong(Hull $hull): int
    {
        return (int) min(count($this->cells), 1 + ($hull->most - $hull->least) / $this->cell);
    }

    /** mm³ */
    public function volume(): float
    {
        $area = 0.0;
        foreach ($this->cells as $stands) {
            for ($i = 0, $n = count($stands); $i < $n; $i += 2) {
                $area += $this->square($stands[$i + 1]) - $this->square($stands[$i]);
            }
        }

        return M_PI * $area * $this->cell;
    }

    /** Area of what lies within a radius, over π: of a hexagon without the six segments beyond its flats (geometry). */
    private function square(float $radius): float
    {
        $half = ($this->acrossFlats ?? INF) / 2;
        if ($radius <= $half) {
            return $radius * $radius;
        }
        $segment = $radius * $radius * acos($half / $radius) - $half * sqrt($radius * $radius - $half * $half);

        return $radius * $radius - 6 * $segment / M_PI;
    }

    /**
     * What stands, as stretches along Z of the same radii.
     *
     * @param  float  $within  how far radii of a stretch may differ, mm
     * @return list<array{float, float, list<float>}> from, to, inner and outer radii
     */
    public function stretches(float $within): array
    {
        $stretches = [];
        $begin = 0;
        $count = count($this->cells);
        for ($i = 1; $i <= $count; $i++) {
            if ($i === $count || ! self::isLike($this->cells[$begin], $this->cells[$i], $within)) {
                // As in its middle: what it ends in belongs to the next shape by half.
                $stretches[] = [$this->from + $begin * $this->cell, $this->from + $i * $this->cell, $this->cells[intdiv($begin + $i - 1, 2)]];
                $begin = $i;
            }
        }

        return array_values(array_filter($stretches, static fn (array $stretch): bool => $stretch[2] !== []));
    }

    /**
     * @param  list<float>  $one
     * @param  list<float>  $other
     */
    private static function isLike(array $one, array $other, float $within): bool
    {
        if (count($one) !== count($other)) {
            return false;
        }
        foreach ($one as $n => $radius) {
            if (abs($radius - $other[$n]) > $within) {
                return false;
            }
        }

        return true;
    }

    /** @return list<float> inner and outer radii of what stands at a place */
    public function at(float $z): array
    {
        return $this->cells[(int) floor(($z - $this->from) / $this->cell)] ?? [];
    }

    /** Z of the edge of the cell a place lies in, towards minus. */
    public function edgeBelow(float $z): float
    {
        return $this->from + floor(($z - $this->from) / $this->cell) * $this->cell;
    }

    /** Radius of what stands furthest out at a place; 0 where there is nothing. */
    public function radiusAt(float $z): float
    {
        $stands = $this->at($z);

        return $stands === [] ? 0.0 : $stands[count($stands) - 1];
    }

    /**
     * What a convex shape meets, and takes off where it cuts.
     *
     * @param  Hull  $hull  in the half-plane of Z and radius
     */
    public function meet(Hull $hull, bool $takes): Removed
    {
        $cells = $this->cells;
        $first = max(0, (int) ceil(($hull->least - $this->from) / $this->cell - 0.5));
        $last = min(count($cells) - 1, (int) floor(($hull->most - $this->from) / $this->cell - 0.5));
        $area = $depth = $atZ = $atX = 0.0;
        $depths = [];
        $lower = $upper = 0;
        for ($i = $first; $i <= $last; $i++) {
            $z = $this->from + ($i + 0.5) * $this->cell;
            $low = $hull->low($z, $lower);
            $high = $hull->high($z, $upper);
            if ($low < 0.0) {
                // Past the axis it meets the other side.
                [$low, $high] = [max(0.0, -$high), max($high, -$low)];
            }
            $stands = $cells[$i];
            $n = count($stands);
            if ($n === 0 || $high <= $stands[0] || $low >= $stands[$n - 1]) {
                continue;
            }
            $left = [];
            $here = 0.0;
            for ($j = 0; $j < $n; $j += 2) {
                [$a, $b] = [$stands[$j], $stands[$j + 1]];
                $start = $a > $low ? $a : $low;
                $end = $b < $high ? $b : $high;
                if ($end - $start <= self::NOTHING) {
                    $left[] = $a;
                    $left[] = $b;

                    continue;
                }
                $area += $this->acrossFlats === null ? $end * $end - $start * $start : $this->square($end) - $this->square($start);
                $here = max($here, $end - $start);
                if ($start - $a > self::NOTHING) {
                    $left[] = $a;
                    $left[] = $start;
                }
                if ($b - $end > self::NOTHING) {
                    $left[] = $end;
                    $left[] = $b;
                }
            }
            if ($here > $depth) {
                [$depth, $atZ, $atX] = [$here, $z, min($high, $stands[$n - 1])];
            }
            if ($here > 0.0) {
                $depths[] = $here;
                if ($takes) {
                    $this->cells[$i] = $left;
                }
            }
        }

        return new Removed(M_PI * $area * $this->cell, $depths, $this->cell, $atZ, $atX);
    }

    /**
     * How far a shape stands off the outside of the bar below it, where nothing has been cut of that yet, mm; INF where there is none.
     *
     * @param  self  $raw  the same bar before all
     */
    public function gapAcross(Hull $hull, self $raw): float
    {
        $gap = INF;
        $at = 0;
        $first = max(0, (int) ceil(($hull->least - $this->from) / $this->cell - 0.5));
        for ($i = $first, $end = min(count($this->cells) - 1, (int) floor(($hull->most - $this->from) / $this->cell - 0.5)); $i <= $end; $i++) {
            if ($this->isRaw($i, $raw)) {
                $gap = min($gap, $hull->low($this->from + ($i + 0.5) * $this->cell, $at) - $this->cells[$i][count($this->cells[$i]) - 1]);
            }
        }

        return max(0.0, $gap);
    }

    /** And off its face beside it. */
    public function gapAlong(Hull $hull, self $raw): float
    {
        $last = count($this->cells) - 1;
        if (! $this->isRaw($last, $raw) || ! $hull->liesBeside($this->cells[$last][0], $this->cells[$last][count($this->cells[$last]) - 1])) {
            return INF;
        }

        return max(0.0, $hull->least - $this->from - ($last + 1) * $this->cell);
    }

    private function isRaw(int $cell, self $raw): bool
    {
        [$stands, $before] = [$this->cells[$cell], $raw->cells[$cell]];

        return $stands !== [] && abs($stands[count($stands) - 1] - $before[count($before) - 1]) < self::NOTHING;
    }

    /** Lets go of what no longer hangs on to what is held at the minus end; null where nothing does. */
    public function dropLoose(): ?self
    {
        $count = count($this->cells);
        $held = 0;
        while ($held < $count && $this->cells[$held] === []) {
            $held++;
        }
        while ($held < $count && $this->cells[$held] !== []) {
            $held++;
        }
        $loose = array_slice($this->cells, $held);
        if (array_filter($loose, static fn (array $stands): bool => $stands !== []) === []) {
            return null;
        }
        $this->cells = [...array_slice($this->cells, 0, $held), ...array_fill(0, $count - $held, [])];

        return new self($this->from + $held * $this->cell, $this->cell, $loose, $this->acrossFlats);
    }
}
