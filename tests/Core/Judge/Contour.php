<?php

declare(strict_types=1);

namespace Tests\Core\Judge;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A closed contour of lines and arcs, run counter-clockwise, that a small cutter can follow on either side: long edges, corners
 * that do not turn too sharp, arcs much larger than the cutter. Points are (first, second) of a plane, mm.
 */
final class Contour
{
    /** @var list<array{float, float}> */
    public array $points = [];

    /** @var list<float> turn of the edge that begins at each point, degrees; 0 for a line */
    public array $sweeps = [];

    public static function random(int $seed, bool $arcs): self
    {
        $random = new Randomizer(new Mt19937($seed));
        $contour = new self;
        $count = $random->getInt($arcs ? 4 : 7, 9);
        for ($i = 0; $i < $count; $i++) {
            $angle = deg2rad(360 / $count * ($i + $random->getInt(-25, 25) / 100));
            $radius = $random->getInt(300, $arcs ? 480 : 370) / 10;
            $contour->points[] = [round($radius * cos($angle), 3), round($radius * sin($angle), 3)];
            $contour->sweeps[] = $i > 0 && $arcs && $random->getInt(0, 2) > 0 ? (float) (
                $random->getInt(0, 1) === 0 ? $random->getInt(12, 50) : -$random->getInt(12, 30)
            ) : 0.0;
        }

        return $contour;
    }

    /** @return array{float, float} centre of the edge that begins at a point */
    public function center(int $i): array
    {
        [$a, $b] = [$this->points[$i], $this->end($i)];
        $half = 1 / tan(deg2rad($this->sweeps[$i]) / 2) / 2;

        return [($a[0] + $b[0]) / 2 - ($b[1] - $a[1]) * $half, ($a[1] + $b[1]) / 2 + ($b[0] - $a[0]) * $half];
    }

    /** @return array{float, float} */
    public function end(int $i): array
    {
        return $this->points[($i + 1) % count($this->points)];
    }

    /** @return list<array{float, float}> the contour as a polygon that stands off it by no more than 1e-4 mm */
    public function polygon(): array
    {
        $polygon = [];
        foreach ($this->points as $i => $a) {
            $polygon[] = $a;
            if ($this->sweeps[$i] !== 0.0) {
                $center = $this->center($i);
                $radius = hypot($a[0] - $center[0], $a[1] - $center[1]);
                $steps = (int) ceil(abs(deg2rad($this->sweeps[$i])) / (2 * acos(1 - 1e-4 / $radius)));
                $start = atan2($a[1] - $center[1], $a[0] - $center[0]);
                for ($n = 1; $n < $steps; $n++) {
                    $turn = $start + deg2rad($this->sweeps[$i]) * $n / $steps;
                    $polygon[] = [$center[0] + $radius * cos($turn), $center[1] + $radius * sin($turn)];
                }
            }
        }

        return $polygon;
    }

    /**
     * A program that goes round from the middle of the first edge, led in and out square to it.
     *
     * @param  array{string, string, string, string}  $letters  of the plane's axes and of their centre words
     * @param  int  $side  1 with the tool left of the path, inside; -1 right, outside
     */
    public function program(string $plane, array $letters, int $side, float $radius): string
    {
        [$a, $b] = [$this->points[0], $this->end(0)];
        $length = hypot($b[0] - $a[0], $b[1] - $a[1]);
        $middle = [($a[0] + $b[0]) / 2, ($a[1] + $b[1]) / 2];
        $away = 4 * $radius * $side / $length;
        $place = fn (array $p): string => sprintf('%s%.9f %s%.9f', $letters[0], $p[0], $letters[1], $p[1]);
        $out = [$middle[0] - $away * ($b[1] - $a[1]), $middle[1] + $away * ($b[0] - $a[0])];
        $text = "G21 G90 {$plane} F500.\nG0 {$place($out)}\nG4".($side > 0 ? '1' : '2')." D1 G1 {$place($middle)}\n{$place($b)}\n";
        for ($i = 1; $i < count($this->points); $i++) {
            $center = $this->sweeps[$i] === 0.0 ? null : $this->center($i);
            $text .= $center === null
                ? "G1 {$place($this->end($i))}\n"
                : sprintf(
                    "%s %s %s%.9f %s%.9f\n", $this->sweeps[$i] > 0 ? 'G3' : 'G2', $place($this->end($i)), $letters[2],
                    $center[0] - $this->points[$i][0], $letters[3], $center[1] - $this->points[$i][1],
                );
        }

        return $text."G1 {$place($middle)}\nG40 {$place($out)}\nM30\n";
    }
}
