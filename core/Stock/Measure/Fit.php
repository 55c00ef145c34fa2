<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Measure;

/** Shapes laid through points of walls. Lengths in mm. */
final class Fit
{
    /**
     * The circle nearest to some points: least squares of x² + y² + a x + b y + c.
     *
     * @param  list<array{float, float}>  $points
     * @return array{float, float, float} middle and radius
     */
    public static function circle(array $points): array
    {
        $count = count($points);
        [$x, $y] = [array_sum(array_column($points, 0)) / $count, array_sum(array_column($points, 1)) / $count];
        $uu = $vv = $uv = $uuu = $vvv = $uvv = $vuu = 0.0;
        foreach ($points as [$atX, $atY]) {
            [$u, $v] = [$atX - $x, $atY - $y];
            $uu += $u * $u;
            $vv += $v * $v;
            $uv += $u * $v;
            $uuu += $u ** 3;
            $vvv += $v ** 3;
            $uvv += $u * $v * $v;
            $vuu += $v * $u * $u;
        }
        $determinant = $uu * $vv - $uv * $uv;
        if (abs($determinant) < 1e-12) {
            return [$x, $y, 0.0];
        }
        $a = (($uuu + $uvv) * $vv - ($vvv + $vuu) * $uv) / (2 * $determinant);
        $b = (($vvv + $vuu) * $uu - ($uuu + $uvv) * $uv) / (2 * $determinant);

        return [$x + $a, $y + $b, sqrt($a * $a + $b * $b + ($uu + $vv) / $count)];
    }

    /**
     * The narrowest box around some points: its angle, in degrees from X, and its middle.
     *
     * @param  non-empty-list<array{float, float}>  $points
     * @return array{float, float, float}
     */
    public static function narrowestBox(array $points): array
    {
        $box = static function (float $angle) use ($points): array {
            [$cos, $sin] = [cos(deg2rad($angle)), sin(deg2rad($angle))];
            $along = array_map(static fn (array $point): float => $point[0] * $cos + $point[1] * $sin, $points);
            $aside = array_map(static fn (array $point): float => $point[1] * $cos - $point[0] * $sin, $points);
            [$a, $b] = [(min($along) + max($along)) / 2, (min($aside) + max($aside)) / 2];

            return [(max($along) - min($along)) * (max($aside) - min($aside)), $a * $cos - $b * $sin, $a * $sin + $b * $cos];
        };
        $best = 0.0;
        foreach ([1.0, 0.1, 0.01] as $step) {
            $middle = $best;
            for ($n = $step === 1.0 ? 0 : -10, $last = $step === 1.0 ? 89 : 10; $n <= $last; $n++) {
                $best = $box($middle + $n * $step)[0] < $box($best)[0] - 1e-9 ? $middle + $n * $step : $best;
            }
        }

        return [$best, $box($best)[1], $box($best)[2]];
    }
}
