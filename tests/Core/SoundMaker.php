<?php

declare(strict_types=1);

namespace Tests\Core;

/** Makes sound programs of usual operations at random places and sizes, for Bench::setup(self::SETUP). The same seed makes the same ones. */
final class SoundMaker
{
    public const SETUP = ['offsets' => ['D' => ['3' => 6]]];

    /** Tool => radius, speed, greatest feed of its range. */
    private const MILLS = [1 => [5.0, 3000, 500.0], 3 => [3.0, 4200, 350.0]];

    private const OPERATIONS = ['holes', 'slot', 'outline', 'bore', 'face', 'incremental', 'figures'];

    public function __construct(int $seed)
    {
        mt_srand($seed);
    }

    public function next(): string
    {
        $text = "%\nO1000\nG21 G17 G40 G49 G80 G90 G94\n";
        for ($count = mt_rand(1, 4); $count > 0; $count--) {
            $operation = self::OPERATIONS[array_rand(self::OPERATIONS)];
            $tool = $operation === 'holes' ? 2 : [1, 3][mt_rand(0, 1)];
            [$radius, $speed, $most] = self::MILLS[$tool] ?? [4.25, 1900, 160.0];
            [$x, $y, $feed] = [self::between(-30, 20), self::between(-20, 10), self::between(0.5 * $most, $most)];
            $text .= "T{$tool} M6\nS{$speed} M3\nG54 G0 X".self::number($x).' Y'.self::number($y)."\nG43 H{$tool} Z25. M8\n";
            $text .= $this->{$operation}($x, $y, $radius, $feed, self::number(round($feed / 3)), $tool)."G0 Z25.\nM9\nM5\n";
        }

        return $text."G91 G28 Z0.\nG90\nM30\n%\n";
    }

    private function holes(float $x, float $y, float $radius, float $feed, string $plunge, int $tool): string
    {
        $text = (mt_rand(0, 1) === 1 ? 'G98 G81' : 'G98 G83 Q4.').' Z-'.self::number(self::between(5, 24))." R2. F120.\n";
        for ($count = mt_rand(1, 5); $count > 0; $count--) {
            $text .= 'X'.self::number(self::between(-45, 45)).' Y'.self::number(self::between(-35, 35))."\n";
        }

        return $text."G80\n";
    }

    private function slot(float $x, float $y, float $radius, float $feed, string $plunge, int $tool): string
    {
        $text = "Z2.\n";
        $step = self::between(0.5, 3);
        $depth = self::between(2, 12);
        for ($z = min($step, $depth); ; $z = min($depth, $z + $step)) {
            $text .= 'G1 Z-'.self::number($z)." F{$plunge}\nX".self::number($x + 20).' F'.self::number($feed)."\nX".self::number($x)."\n";
            if ($z >= $depth) {
                return $text;
            }
        }
    }

    private function outline(float $x, float $y, float $radius, float $feed, string $plunge, int $tool): string
    {
        return "G0 X-70. Y-50.\nZ2.\nG1 Z-".self::number(self::between(1, 8))." F300.\nG41 D{$tool} X-50. Y-40. F".self::number($feed)
            ."\nY40.\nX50.\nY-40.\nX-55.\nG40 X-70. Y-50.\n";
    }

    private function bore(float $x, float $y, float $radius, float $feed, string $plunge, int $tool): string
    {
        $ring = self::between(1, 6);
        $text = "Z1.\nG1 Z0. F{$plunge}\nX".self::number($x + $ring)."\n";
        for ($z = 1, $depth = mt_rand(1, 6); $z <= $depth; $z++) {
            $text .= 'G3 I-'.self::number($ring)." Z-{$z}. F".self::number($feed)."\n";
        }

        return $text.'I-'.self::number($ring)."\nG1 X".self::number($x)."\n";
    }

    private function face(float $x, float $y, float $radius, float $feed, string $plunge, int $tool): string
    {
        $text = "G0 X-60. Y-36.\nZ5.\n";
        foreach ([[0.3], [0.5, 1.0], [1.5]][mt_rand(0, 2)] as $z) {
            $text .= 'G1 Z-'.self::number($z)." F300.\n";
            for ($row = -36.0, $side = 60; $row <= 36; $row += 1.4 * $radius, $side = -$side) {
                $text .= "X{$side}. Y".self::number($row).' F'.self::number($feed)."\n";
            }
            $text .= "G0 Z5.\nX-60. Y-36.\n";
        }

        return $text;
    }

    private function incremental(float $x, float $y, float $radius, float $feed, string $plunge, int $tool): string
    {
        return "Z2.\nG91 G1 Z-4. F{$plunge}\nX10. F".self::number($feed)."\nY5.\nX-10.\nY-5.\nZ-1. F{$plunge}\nX10. F".self::number($feed)."\nX-10.\nG90\n";
    }

    private function figures(float $x, float $y, float $radius, float $feed, string $plunge, int $tool): string
    {
        $text = "Z2.\n";
        for ($count = 20; $count > 0; $count--) {
            $text .= 'G1 X'.self::number($x + self::between(-3, 3)).' Y'.self::number($y + self::between(-3, 3)).' Z-'
                .self::number(self::between(0.1, 0.4))." F{$plunge}\n"
                .(mt_rand(0, 1) === 1 ? 'G1 Z2. F'.self::number($feed)."\nX".self::number($x + self::between(-3, 3))."\n" : "G0 Z2.\n");
        }

        return $text;
    }

    private static function between(float $low, float $high): float
    {
        return round($low + ($high - $low) * mt_rand() / mt_getrandmax(), 3);
    }

    private static function number(float $value): string
    {
        return rtrim(sprintf('%.3F', $value), '0');
    }
}
