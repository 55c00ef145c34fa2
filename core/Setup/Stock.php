<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/**
 * The stock as clamped, as the box that encloses it, in millimetres in the coordinates of its work offset.
 */
final readonly class Stock
{
    /**
     * @param  array{float, float, float}  $min
     * @param  array{float, float, float}  $max
     * @param  array<string, mixed>  $source  the stock as the setup file gives it
     * @param  bool  $isRound  whether it is a cylinder along Z in that box
     */
    private function __construct(
        public string $workOffset,
        public array $min,
        public array $max,
        public array $source,
        public bool $isRound = false,
    ) {
    }

    /**
     * @param  array{float, float, float}  $min
     * @param  array{float, float, float}  $max
     * @param  array<string, mixed>  $source
     */
    public static function box(string $workOffset, array $min, array $max, array $source): self
    {
        return new self($workOffset, $min, $max, $source);
    }

    /**
     * A bar along Z: Z0 on the finished face, material towards minus, $face in front of it.
     *
     * @param  array<string, mixed>  $source
     */
    public static function cylinder(string $workOffset, float $diameter, float $length, float $face, array $source): self
    {
        $radius = $diameter / 2;

        return new self($workOffset, [-$radius, -$radius, -$length], [$radius, $radius, $face], $source, true);
    }

    public function top(): float
    {
        return $this->max[2];
    }

    public function bottom(): float
    {
        return $this->min[2];
    }

    public function thickness(): float
    {
        return $this->max[2] - $this->min[2];
    }
}
