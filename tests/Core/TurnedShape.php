<?php

declare(strict_types=1);

namespace Tests\Core;

/** A generated outside shape that rises towards the chuck: cylinders, cones, shoulders, roundings and fillets. Millimetres; radii. */
final class TurnedShape
{
    /** Places nearer than this to a change of the shape are not asked: the nose leaves its own fillet there. */
    private const NEAR = 0.7;

    /** @var list<array{kind: string, z0: float, x0: float, z: float, x: float, radius: float}> */
    private array $pieces = [];

    private float $z = 0.0;

    private float $x;

    private function __construct(private readonly int $seed)
    {
        mt_srand($seed);
        $this->x = mt_rand(5, 9);
    }

    public static function made(int $seed): self
    {
        $shape = new self($seed);
        $shape->add('cylinder', mt_rand(30, 90) / 10, 0.0);
        for ($i = mt_rand(2, 5); $i > 0 && $shape->x < 24; $i--) {
            $size = mt_rand(10, 30) / 10;
            match (mt_rand(0, 3)) {
                0 => $shape->add('cone', mt_rand(20, 80) / 10, $size),
                1 => $shape->add('shoulder', 0.0, $size),
                2 => $shape->add('fillet', $size, $size),
                default => $shape->shoulderWithRounding($size),
            };
            $shape->add('cylinder', mt_rand(30, 90) / 10, 0.0);
        }

        return $shape;
    }

    /** The blocks N10 to N20. */
    public function blocks(bool $inWays = false, float $unit = 1.0): string
    {
        $number = static fn (float $value): string => sprintf($unit === 1.0 ? '%.4F' : '%.7F', $value / $unit);
        $lines = ['N10 G0 X'.$number(2 * $this->pieces[0]['x0'])];
        $fromZ = 2.0;
        foreach ($this->pieces as $i => $piece) {
            $x = $inWays ? 'U'.$number(2 * ($piece['x'] - $piece['x0'])) : 'X'.$number(2 * $piece['x']);
            $z = $inWays ? 'W'.$number($piece['z'] - $fromZ) : 'Z'.$number($piece['z']);
            $code = ['fillet' => 'G2', 'rounding' => 'G3'][$piece['kind']] ?? 'G1';
            $lines[] = "{$code} {$x} {$z}".($piece['radius'] > 0.0 ? ' R'.$number($piece['radius']) : '').($i === 0 ? ' F'.$number(0.1) : '');
            $fromZ = $piece['z'];
        }

        return implode("\n", [...$lines, 'N20 G1 X'.$number(62.0)])."\n";
    }

    /** @return list<float> Z, well within each piece */
    public function places(): array
    {
        $places = [];
        foreach ($this->pieces as $piece) {
            for ($z = $piece['z0'] - self::NEAR; $z > $piece['z'] + self::NEAR; $z -= 0.37) {
                $places[] = round($z, 2) + 0.005;
            }
        }

        return $places;
    }

    public function radiusAt(float $z): float
    {
        foreach ($this->pieces as $piece) {
            if ($z <= $piece['z0'] && $z >= $piece['z'] && $piece['z'] < $piece['z0']) {
                $share = ($piece['z0'] - $z) / ($piece['z0'] - $piece['z']);
                $along = $piece['z0'] - $z;

                return match ($piece['kind']) {
                    'fillet' => $piece['x'] - sqrt(max(0.0, $piece['radius'] ** 2 - $along ** 2)),
                    'rounding' => $piece['x0'] + sqrt(max(0.0, $piece['radius'] ** 2 - ($piece['radius'] - $along) ** 2)),
                    default => $piece['x0'] + ($piece['x'] - $piece['x0']) * $share,
                };
            }
        }

        return 0.0;
    }

    private function add(string $kind, float $along, float $up): void
    {
        $this->pieces[] = [
            'kind' => $kind, 'z0' => $this->z, 'x0' => $this->x, 'z' => $this->z - $along, 'x' => $this->x + $up,
            'radius' => in_array($kind, ['fillet', 'rounding'], true) ? $along : 0.0,
        ];
        $this->z -= $along;
        $this->x += $up;
    }

    /** A shoulder whose outer corner is rounded. */
    private function shoulderWithRounding(float $size): void
    {
        $this->add('shoulder', 0.0, $size);
        $this->add('rounding', $size, $size);
    }
}
