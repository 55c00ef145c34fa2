<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Solids\BarBlank;
use OakTrace\Core\Solids\Blank;
use OakTrace\Core\Solids\BoxBlank;
use OakTrace\Core\Solids\HeightMap;
use OakTrace\Core\Solids\Mesh;

/**
 * The stock as clamped: its shape, and the box that encloses it, in millimetres in the coordinates of its work offset.
 */
final readonly class Stock
{
    /**
     * @param  Box  $around  it
     * @param  array<string, mixed>  $source  the stock as the setup file gives it
     */
    private function __construct(public string $workOffset, public Box $around, public Blank $blank, public array $source)
    {
    }

    /** @param  array<string, mixed>  $source */
    public static function box(string $workOffset, Box $box, array $source): self
    {
        return new self($workOffset, $box, new BoxBlank($box), $source);
    }

    /**
     * A bar along an axis: its zero on the finished face, material towards minus (or plus), $face in front of it.
     *
     * @param  array<string, mixed>  $source
     * @param  0|1|2  $axis  X, Y or Z
     * @param  float  $bore  diameter
     * @param  list<array{float, float}>  $outer  where it has been turned before: position along it and radius
     * @param  list<array{float, float}>  $inner  of its hole, likewise
     * @param  float|null  $acrossFlats  of a hexagon, whose corners the diameter goes through
     */
    public static function cylinder(
        string $workOffset, float $diameter, float $length, float $face, array $source, int $axis = 2, float $bore = 0.0, bool $towardsPlus = false,
        array $outer = [], array $inner = [], ?float $acrossFlats = null,
    ): self {
        $radius = $diameter / 2;
        $min = [-$radius, -$radius, -$radius];
        $max = [$radius, $radius, $radius];
        [$min[$axis], $max[$axis]] = $towardsPlus ? [-$face, $length] : [-$length, $face];

        $around = Box::of($min, $max);

        return new self($workOffset, $around, new BarBlank($axis, $around, $bore, $outer, $inner, $acrossFlats), $source);
    }

    /**
     * A shape from a file.
     *
     * @param  array<string, mixed>  $source
     */
    public static function of(string $workOffset, HeightMap|Mesh $shape, array $source): self
    {
        return new self($workOffset, $shape->box(), $shape, $source);
    }

    public function top(): float
    {
        return $this->around->high->z;
    }

    public function bottom(): float
    {
        return $this->around->low->z;
    }

    public function thickness(): float
    {
        return $this->around->size(2);
    }
}
