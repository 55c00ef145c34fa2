<?php

declare(strict_types=1);

namespace OakTrace\Core\Solids;

use Closure;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Shift;
use OakTrace\Core\Geometry\Turn;

/** Round material along an axis, about the other two's zero; upright it may be bored. */
final class BarBlank implements Blank
{
    /** @var array{float, HeightField}|null edge of a cell, and how it is seen with that where it lies along X or Y, turned about itself or not */
    private ?array $lying = null;

    /**
     * @param  0|1|2  $axis  it lies along: X, Y or Z
     * @param  Box  $around  it
     * @param  float  $bore  diameter; 0 where it is full
     * @param  list<array{float, float}>  $outer  what stands of its outside where it has been turned before: position along it and radius, from minus on
     * @param  list<array{float, float}>  $inner  of its hole, likewise
     * @param  float|null  $acrossFlats  of a hexagon
     */
    public function __construct(
        private readonly int $axis, private readonly Box $around, private readonly float $bore = 0.0,
        public readonly array $outer = [], public readonly array $inner = [], public readonly ?float $acrossFlats = null,
    ) {
    }

    /** Diameter of the hole through it; 0 where it has none. */
    public function bore(): float
    {
        return $this->bore;
    }

    /** Whether it lies along an axis: 0, 1 or 2 for X, Y or Z. */
    public function liesAlong(int $axis): bool
    {
        return $this->axis === $axis;
    }

    public function isLevel(): bool
    {
        return false;
    }

    public function holds(PartPoint $point): bool
    {
        $place = $point->each();
        $away = hypot($place[($this->axis + 1) % 3], $place[($this->axis + 2) % 3]);

        return $away <= $this->radius() && $away >= $this->bore / 2
            && $place[$this->axis] >= $this->around->low->on($this->axis) && $place[$this->axis] <= $this->around->high->on($this->axis);
    }

    public function volume(): float
    {
        return M_PI * ($this->radius() ** 2 - ($this->bore / 2) ** 2) * $this->around->size($this->axis);
    }

    public function standsLevel(?Turn $turn = null): bool
    {
        return $turn === null && $this->axis === 2;
    }

    public function top(?Turn $turn = null): float
    {
        return ($turn === null ? $this->around : $this->box($turn, $this->radius()))->high->z;
    }

    public function nearest(float $x, float $y, ?Turn $turn = null): ?array
    {
        $away = hypot($x, $y);
        if ($turn !== null || $this->axis !== 2 || $away < $this->bore / 2) {
            return null;
        }

        return $away <= $this->radius() ? [$x, $y] : [$x * $this->radius() / $away, $y * $this->radius() / $away];
    }

    public function seen(float $cell, ?Turn $turn = null): HeightField
    {
        $turned = $turn ?? ($this->axis === 2 ? null : $this->asItLies());
        // About itself it looks the same however far it is turned.
        $isAboutItself = $turned !== null && $turned->axis === AxisName::ROTARY[$this->axis]
            && $turned->center->on($this->axis === 0 ? 1 : 0) === 0.0 && $turned->center->z === 0.0;
        if ($isAboutItself && ($this->lying[0] ?? null) === $cell) {
            return clone $this->lying[1];
        }
        $around = $turned === null ? $this->around : $this->box($turned, $this->radius());
        $field = HeightField::over($around, $cell, $this->surface($turn), match ([$this->axis, $turned?->axis]) {
            [0, AxisName::A] => AxisName::X,
            [1, AxisName::B] => AxisName::Y,
            default => '',
        });
        if ($isAboutItself) {
            $this->lying = [$cell, clone $field];
        }

        return $field;
    }

    public function surface(?Turn $turn = null): Closure
    {
        $radius = $this->radius();
        if ($turn === null && $this->axis === 2) {
            [$hole, $top] = [$this->bore / 2, $this->around->high->z];

            return static fn (float $x, float $y): ?float => hypot($x, $y) > $radius || hypot($x, $y) < $hole ? null : $top;
        }
        $turn ??= $this->asItLies();
        $up = $turn->up()->each();
        $low = $this->box($turn, $radius)->low->z;
        [$origin, $right, $back] = array_map(static fn (PartPoint|Shift $each): array => $each->each(), $turn->undone($low));
        [$along, $a, $b] = [$this->axis, ($this->axis + 1) % 3, ($this->axis + 2) % 3];
        [$least, $most] = [$this->around->low->on($along), $this->around->high->on($along)];

        return static function (float $x, float $y) use ($origin, $right, $back, $up, $low, $radius, $along, $a, $b, $least, $most): ?float {
            $from = [$origin[0] + $x * $right[0] + $y * $back[0], $origin[1] + $x * $right[1] + $y * $back[1], $origin[2] + $x * $right[2] + $y * $back[2]];
            // Straight up leaves the round side where a quadratic says, and the ends where they are.
            $square = $up[$a] * $up[$a] + $up[$b] * $up[$b];
            $half = $from[$a] * $up[$a] + $from[$b] * $up[$b];
            $rest = $from[$a] * $from[$a] + $from[$b] * $from[$b] - $radius * $radius;
            if ($square < 1e-12) {
                [$in, $out] = $rest > 0.0 ? [INF, -INF] : [-INF, INF];
            } else {
                $root = $half * $half - $square * $rest;
                [$in, $out] = $root < 0.0 ? [INF, -INF] : [(-$half - sqrt($root)) / $square, (-$half + sqrt($root)) / $square];
            }
            if (abs($up[$along]) < 1e-12) {
                return $out > $in && $from[$along] >= $least && $from[$along] <= $most ? $low + $out : null;
            }
            $one = ($least - $from[$along]) / $up[$along];
            $two = ($most - $from[$along]) / $up[$along];

            return min($out, max($one, $two)) > max($in, min($one, $two)) ? $low + min($out, max($one, $two)) : null;
        };
    }

    /** Not turned, as a turn by nothing. */
    private function asItLies(): Turn
    {
        return new Turn($this->axis === 0 ? AxisName::A : AxisName::B, 0.0, PartPoint::zero());
    }

    private function radius(): float
    {
        return $this->around->size($this->axis === 0 ? 1 : 0) / 2;
    }

    /** The box around it, turned: along each axis half its length as far as it points that way, and its radius as far as it does not. */
    private function box(Turn $turn, float $radius): Box
    {
        $end = function (PartPoint $corner) use ($turn): array {
            $end = [0.0, 0.0, 0.0];
            $end[$this->axis] = $corner->on($this->axis);

            return $turn->apply(PartPoint::of($end))->each();
        };
        [$one, $two] = [$end($this->around->low), $end($this->around->high)];
        $low = $high = [0.0, 0.0, 0.0];
        foreach ([0, 1, 2] as $i) {
            $share = ($two[$i] - $one[$i]) / $this->around->size($this->axis);
            $round = $radius * sqrt(max(0.0, 1 - $share * $share));
            $low[$i] = min($one[$i], $two[$i]) - $round;
            $high[$i] = max($one[$i], $two[$i]) + $round;
        }

        return Box::of($low, $high);
    }
}
