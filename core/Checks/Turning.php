<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\Shift;
use OakTrace\Core\Geometry\Turn;
use OakTrace\Core\Kinematics\TurningSolid;
use OakTrace\Core\Setup\Obstacle;
use OakTrace\Core\Setup\RotaryCenter;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Solids\BarBlank;

/** What turns with a rotary axis, in the coordinates of the work offset of its centre. */
final readonly class Turning
{
    /** Degrees from one look to the next on the way of a turn. */
    private const STEP = 1.0;

    /** What stands nearer to the part than this holds it, mm. */
    private const HOLDS = 0.1;

    /** @param  list<array{string, TurningSolid}>  $solids  the name of each, and what it is */
    private function __construct(public array $solids, private RotaryCenter $center, private Setup $setup, private float $zero)
    {
    }

    /** Null for an axis that stands upright: what turns about Z stays over its table, and its sides are not looked at. */
    public static function about(Setup $setup, string $axis): ?self
    {
        $center = $setup->rotaryCenters[$axis] ?? null;
        if ($center === null || ! in_array($axis[0], [AxisName::A, AxisName::B], true)) {
            return null;
        }
        $turning = new self([], $center, $setup, 0.0);
        $rest = self::rest($axis, $center);
        $solids = [];
        foreach ($setup->stocks() as $number => $stock) {
            $box = $turning->box($stock->workOffset, $stock->around);
            $isBar = $stock->blank instanceof BarBlank && ($stock->source['axis'] ?? AxisName::Z) === AxisName::about($axis);
            $solids[] = [$number === 0 ? 'the stock' : 'stock '.($number + 1), $isBar ? TurningSolid::bar($rest, $box) : TurningSolid::box($rest, $box)];
        }
        foreach ($setup->workholding->obstacles as $obstacle) {
            if ($obstacle->turnsWith === $axis) {
                $solids[] = [$obstacle->name, TurningSolid::box($rest, $turning->placed($obstacle))];
            }
        }

        return new self($solids, $center, $setup, $setup->workOffsets[$center->workOffset][$axis] ?? 0.0);
    }

    /** Where an obstacle stands. */
    public function placed(Obstacle $obstacle): Box
    {
        $lower = $obstacle->workOffset === Obstacle::MACHINE ? $this->setup->tooling->gaugeShift() ?? 0.0 : 0.0;

        return $this->box($obstacle->workOffset, $obstacle->around)->plus(new Shift(0.0, 0.0, -$lower));
    }

    /** Whether an obstacle of which nothing is said holds a piece of stock, and so turns with it. */
    public function holds(Obstacle $obstacle, string $what, TurningSolid $solid): bool
    {
        return str_contains($what, 'stock') && $solid->depthIn($this->placed($obstacle)->grownBy(self::HOLDS), 0.0) > 0.0;
    }

    /** @return list<Obstacle> what stands for an obstacle once its axis is turned by an angle, in the coordinates of its own work offset */
    public static function asTurned(Setup $setup, Obstacle $obstacle, float $angle): array
    {
        $axis = (string) $obstacle->turnsWith;
        $turning = self::about($setup, $axis);
        if ($turning === null) {
            return [$obstacle];
        }
        $there = $turning->placed($obstacle);
        $back = $obstacle->around->low->since($there->low);
        $solid = TurningSolid::box(self::rest($axis, $turning->center), $there);

        return array_map(
            static fn (Box $slab): Obstacle => new Obstacle($obstacle->name, $obstacle->workOffset, $slab->plus($back)), $solid->slabs($angle),
        );
    }

    /** The axis and its centre, not turned. */
    private static function rest(string $axis, RotaryCenter $center): Turn
    {
        return new Turn($axis[0], 0.0, $center->point());
    }

    /**
     * Angles on the way of a turn, from where the axis was given as 0, its end among them; of more than one turn no more than one.
     *
     * @param  float  $from  of the machine's axis
     * @return iterable<float>
     */
    public function angles(float $from, float $to): iterable
    {
        $from -= $this->zero;
        $to -= $this->zero;
        $way = min(360.0, abs($to - $from));
        $steps = (int) ceil($way / self::STEP);
        for ($i = 1; $i <= $steps; $i++) {
            yield $i === $steps ? $to : $from + ($to <=> $from) * $i * self::STEP;
        }
    }

    private function box(string $work, Box $box): Box
    {
        return $box->plus($this->setup->zero($work)->minus($this->setup->zero($this->center->workOffset)));
    }
}
