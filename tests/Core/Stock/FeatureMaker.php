<?php

declare(strict_types=1);

namespace Tests\Core\Stock;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** A feature as a drawing has it, and a program of a hand that cuts it with an end mill of 8, made from a seed. */
final class FeatureMaker
{
    private const RADIUS = 4.0;

    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @return array{array<string, mixed>, string} the feature, and the lines that cut it */
    public function next(): array
    {
        return match ($this->random->getInt(0, 2)) {
            0 => $this->hole(),
            1 => $this->slot(),
            default => $this->pocket(),
        };
    }

    /** @return array{array<string, mixed>, string} */
    private function hole(): array
    {
        [$x, $y] = [$this->between(-25, 25), $this->between(-15, 15)];
        [$r, $depth] = [$this->between(1, 9), $this->between(1, 20)];
        $rings = '';
        for ($at = min(3.0, $r); $at < $r; $at += 3.0) {
            $rings .= self::line('G1 X%s', $x + $at)." F400.\n".self::line('G3 I%s', -$at)."\n";
        }
        $rings .= self::line('G1 X%s', $x + $r)." F400.\n".self::line('G3 I%s', -$r)."\n";

        return [
            ['kind' => 'hole', 'at' => [$x, $y], 'diameter' => round(2 * ($r + self::RADIUS), 6), 'depth' => $depth],
            self::line('X%s Y%s', $x, $y)."\nZ2.\n".self::line('G1 Z%s F100.', -$depth)."\n{$rings}G0 Z25.",
        ];
    }

    /** @return array{array<string, mixed>, string} */
    private function slot(): array
    {
        [$x0, $y0, $depth] = [$this->between(-30, 0), $this->between(-20, 20), $this->between(1, 20)];
        [$x1, $y1] = [$x0 + $this->between(10, 30), $this->between(-20, 20)];

        return [
            ['kind' => 'slot', 'from' => [$x0, $y0], 'to' => [$x1, $y1], 'width' => 2 * self::RADIUS, 'depth' => $depth],
            self::line('X%s Y%s', $x0, $y0)."\nZ2.\n".self::line('G1 Z%s F100.', -$depth)."\n".self::line('X%s Y%s F300.', $x1, $y1)."\nG0 Z25.",
        ];
    }

    /** @return array{array<string, mixed>, string} turned by any angle, cleared from the middle out */
    private function pocket(): array
    {
        [$x, $y, $depth, $angle] = [$this->between(-10, 10), $this->between(-5, 5), $this->between(1, 20), $this->between(0, 80)];
        [$half, $wide] = [$this->between(7, 14), $this->between(2, 6)];
        $corner = function (float $a, float $b) use ($x, $y, $angle): string {
            [$cos, $sin] = [cos(deg2rad($angle)), sin(deg2rad($angle))];

            return self::line('X%s Y%s', $x + $a * $cos - $b * $sin, $y + $a * $sin + $b * $cos);
        };
        $way = '';
        foreach ([0.25, 0.5, 0.75, 1.0] as $share) {
            [$a, $b] = [$half * $share, $wide * $share];
            $way .= 'G1 '.$corner($a, $b)." F400.\n".$corner(-$a, $b)."\n".$corner(-$a, -$b)."\n".$corner($a, -$b)."\n".$corner($a, $b)."\n";
        }

        return [
            [
                'kind' => 'pocket', 'at' => [$x, $y], 'length' => round(2 * ($half + self::RADIUS), 6), 'width' => round(2 * ($wide + self::RADIUS), 6),
                'corner' => self::RADIUS, 'angle' => $angle, 'depth' => $depth,
            ],
            self::line('X%s Y%s', $x, $y)."\nZ2.\n".self::line('G1 Z%s F100.', -$depth)."\n{$way}G0 Z25.",
        ];
    }

    private function between(float $low, float $high): float
    {
        return round($low + ($high - $low) * $this->random->getInt(0, 10_000) / 10_000, 2);
    }

    private static function line(string $words, float ...$values): string
    {
        return sprintf($words, ...array_map(static fn (float $value): string => number_format($value, 4, '.', ''), $values));
    }
}
