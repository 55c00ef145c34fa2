<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

/** Where a shape that is roughed along Z falls back behind a rim, up to where it is as high again. Axis positions, millimetres; X is the radius. */
final readonly class Pocket
{
    private const NEAR = 1e-6;

    /**
     * @param  non-empty-list<array{float, float}>  $points  Z and X, from the rim down and up again
     * @param  non-empty-list<array{float, float}>  $way  the near wall a tool comes down to its rim
     */
    private function __construct(private array $points, public array $way)
    {
    }

    /**
     * Those of a shape, in the order it has them.
     *
     * @param  int  $side  the way passes are stepped: -1 down on an outside, 1 up in a bore
     * @return list<self>
     */
    public static function in(Contour $contour, int $side): array
    {
        $points = $contour->points();
        $pockets = [];
        $rim = 0;
        for ($i = 1, $n = count($points); $i < $n; $i++) {
            if (($points[$i][1] - $points[$rim][1]) * $side <= self::NEAR) {
                if ($i > $rim + 1) {
                    $end = self::between($points[$i - 1], $points[$i], $points[$rim][1]);
                    $pockets[] = new self([...array_slice($points, $rim, $i - $rim), $end], [$points[$rim]]);
                }
                $rim = $i;
            }
        }
        $rest = array_slice($points, $rim);
        if (count($rest) > 2) {
            $pockets[] = new self($rest, [$points[$rim]]);
        }

        return $pockets;
    }

    /** @return array{float, float} where it begins */
    public function rim(): array
    {
        return $this->points[0];
    }

    /** @return array{float, float} where it ends */
    public function end(): array
    {
        return $this->points[count($this->points) - 1];
    }

    /**
     * What of it lies deeper than a level, apart: a ridge that is higher stands between two. A pass along a floor is left to the cut along
     * the shape.
     *
     * @return list<self>
     */
    public function below(float $level, int $side): array
    {
        $pockets = [];
        $wall = [$this->points[0]]; // from the highest place since the one before
        $own = null;
        foreach (array_slice($this->points, 1) as $n => $point) {
            $before = $this->points[$n];
            $isDeep = ($point[1] - $level) * $side > self::NEAR;
            if ($own === null && $isDeep) {
                $own = [($before[1] - $level) * $side < 0.0 ? self::between($before, $point, $level) : $before];
            } elseif ($own !== null && ! $isDeep) {
                $pockets[] = new self([...$own, self::between($before, $point, $level)], [...$wall, $own[0]]);
                [$own, $wall] = [null, [$point]];
            }
            if ($own !== null) {
                $own[] = $point;
            } else {
                $wall = ($point[1] - $wall[0][1]) * $side <= self::NEAR ? [$point] : [...$wall, $point];
            }
        }
        if ($own !== null) {
            $pockets[] = new self($own, [...$wall, $own[0]]);
        }

        return $pockets;
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return array{float, float}
     */
    private static function between(array $from, array $to, float $x): array
    {
        $share = abs($to[1] - $from[1]) < self::NEAR ? 1.0 : ($x - $from[1]) / ($to[1] - $from[1]);

        return [$from[0] + ($to[0] - $from[0]) * $share, $x];
    }
}
