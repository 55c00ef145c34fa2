<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Measure;

use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Stock\Body;
use OakTrace\Core\Stock\Move;
use OakTrace\Core\Stock\Sweep;

/**
 * How high the material stands along a line in plan, far finer than the cells of its field: the moves are taken out of a strip of
 * small cells along it. Lengths in mm.
 */
final readonly class Profile
{
    /** Rise for each mm along from which it is a wall: 87 degrees. */
    private const STEEP = 20.0;

    /** A step as low as this is one too, where it stands alone; lower ones are the rounding of figures. */
    private const LOW = 0.005;

    /** It stands alone where what is beside it rises so many times less. */
    private const ALONE = 8.0;

    /**
     * @param  list<float>  $heights  one for each step from the beginning of the line on, each in the middle of its step
     * @param  list<Move>  $near  the moves that come near the line
     */
    private function __construct(public float $step, public float $bottom, public array $heights, public array $near = [])
    {
    }

    /**
     * @param  list<Move>  $moves  in order; those that do not come near do no harm
     * @param  array{float, float}  $from  in the coordinates of the body
     * @param  array{float, float}  $to
     * @param  int  $steps  along the line, one or more
     */
    public static function along(Body $body, array $moves, array $from, array $to, int $steps): self
    {
        [$acrossX, $acrossY] = [$to[0] - $from[0], $to[1] - $from[1]];
        $length = hypot($acrossX, $acrossY);
        [$cos, $sin] = [$acrossX / $length, $acrossY / $length];
        /** @var non-empty-list<float> $before */
        $before = $body->isLevelAlong($from, $to) ? array_fill(0, $steps, $body->top) : array_map(
            static fn (int $n): float => max(
                $body->field->bottom, $body->before($from[0] + $acrossX * ($n + 0.5) / $steps, $from[1] + $acrossY * ($n + 0.5) / $steps),
            ),
            range(0, $steps - 1),
        );
        $strip = HeightField::strip($length, $body->field->bottom, $before);
        $sweep = new Sweep($strip);
        $near = [];
        foreach ($moves as $move) {
            $radius = $move->cutter->radius;
            if ($move->round !== null) {
                [$centerX, $centerY, $turn] = [$move->round->first, $move->round->second, $move->round->sweep];
                [$x, $y, $x0, $y0] = [$centerX - $from[0], $centerY - $from[1], $move->x0 - $from[0], $move->y0 - $from[1]];
                if (abs($y * $cos - $x * $sin) > $radius + hypot($move->x0 - $centerX, $move->y0 - $centerY)) {
                    continue;
                }
                $near[] = $move;
                $sweep->arc(
                    $move->cutter, $x0 * $cos + $y0 * $sin, $y0 * $cos - $x0 * $sin, $x * $cos + $y * $sin, $y * $cos - $x * $sin, $turn, $move->z0,
                    $move->z1,
                );

                continue;
            }
            // Along the line and aside of it.
            $u0 = $v0 = $z0 = 0.0;
            $isNear = false;
            foreach ($move->path as $n => $to) {
                [$x, $y, $z] = [$to->x - $from[0], $to->y - $from[1], $to->z];
                [$u, $v] = [$x * $cos + $y * $sin, $y * $cos - $x * $sin];
                if ($n > 0 && ! (min($v0, $v) > $radius || max($v0, $v) < -$radius || min($u0, $u) > $length + $radius || max($u0, $u) < -$radius)) {
                    $isNear = true;
                    $sweep->straight($move->cutter, $u0, $v0, $z0, $u, $v, $z);
                }
                [$u0, $v0, $z0] = [$u, $v, $z];
            }
            if ($isNear) {
                $near[] = $move;
            }
        }

        return new self($length / $steps, $strip->bottom, array_values($strip->heights), $near);
    }

    /**
     * Of anything known by its height.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @param  callable(float, float): ?float  $height  at X and Y; null where there is nothing
     */
    public static function of(float $bottom, array $from, array $to, int $steps, callable $height): self
    {
        $heights = [];
        for ($n = 0; $n < $steps; $n++) {
            $share = ($n + 0.5) / $steps;
            $heights[] = max($bottom, $height($from[0] + ($to[0] - $from[0]) * $share, $from[1] + ($to[1] - $from[1]) * $share) ?? $bottom);
        }

        return new self(hypot($to[0] - $from[0], $to[1] - $from[1]) / $steps, $bottom, $heights);
    }

    /** How high it stands so far along; at the bottom where there is nothing. */
    public function at(float $along): float
    {
        return $this->heights[max(0, min(count($this->heights) - 1, (int) floor($along / $this->step)))];
    }

    /**
     * The first wall on the way from somewhere.
     *
     * @param  bool  $back  towards the beginning of the line
     * @return array{along: float, rise: float, foot: float}|null where it stands, how much it rises (less than nothing where it falls), and how high
     *                                                            the material is just before it
     */
    public function wall(float $from, bool $back): ?array
    {
        $way = $back ? -1 : 1;
        $n = (int) max(0, min(count($this->heights) - 1, floor($from / $this->step)));
        for (; isset($this->heights[$n + $way]); $n += $way) {
            if ($this->isWall($back ? $n - 1 : $n)) {
                return [
                    'along' => ($n + ($back ? 0 : 1)) * $this->step, 'rise' => $this->heights[$n + $way] - $this->heights[$n],
                    'foot' => $this->heights[$n],
                ];
            }
        }

        return null;
    }

    /**
     * The wall nearest to where one is expected, of those that rise or fall as it should.
     *
     * @param  bool  $back  looked for towards the beginning of the line
     * @param  float  $expected  how far from where it is looked from
     * @return array{along: float, rise: float, foot: float}|null
     */
    public function wallNear(float $from, bool $back, float $expected, bool $falls): ?array
    {
        $best = null;
        for ($wall = $this->wall($from, $back); $wall !== null; $wall = $this->wall($wall['along'] + ($back ? -0.5 : 0.5) * $this->step, $back)) {
            if (
                ($wall['rise'] < 0.0) === $falls
                && ($best === null || abs(abs($wall['along'] - $from) - $expected) < abs(abs($best['along'] - $from) - $expected))
            ) {
                $best = $wall;
            }
        }

        return $best;
    }

    /**
     * The corners of it: what lies between two of them is straight.
     *
     * @return list<array{float, float}> how far along, and how high
     */
    public function corners(): array
    {
        $corners = [];
        $count = count($this->heights);
        for ($n = 0; $n < $count; $n++) {
            $before = $this->isWall($n - 1);
            $after = $this->isWall($n);
            // Beside a wall the corner is at the edge of the step, so that the wall is upright.
            if ($before || $n === 0) {
                $corners[] = [$n * $this->step, $this->heights[$n]];
            }
            if ($after || $n === $count - 1) {
                $corners[] = [($n + 1) * $this->step, $this->heights[$n]];
            }
            if (! $before && ! $after && $n > 0 && $n < $count - 1 && abs($this->heights[$n + 1] - 2 * $this->heights[$n] + $this->heights[$n - 1]) > 1e-7) {
                $corners[] = [($n + 0.5) * $this->step, $this->heights[$n]];
            }
        }

        return $corners;
    }

    /** Whether a wall stands between a step and the next. */
    private function isWall(int $n): bool
    {
        if (! isset($this->heights[$n], $this->heights[$n + 1])) {
            return false;
        }
        $rise = abs($this->heights[$n + 1] - $this->heights[$n]);
        if ($rise <= self::LOW || $rise > self::STEEP * $this->step) {
            return $rise > self::LOW;
        }
        $before = isset($this->heights[$n - 1]) ? abs($this->heights[$n] - $this->heights[$n - 1]) : 0.0;
        $after = isset($this->heights[$n + 2]) ? abs($this->heights[$n + 2] - $this->heights[$n + 1]) : 0.0;

        return $rise > self::ALONE * max($before, $after);
    }
}
