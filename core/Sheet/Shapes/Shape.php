<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Shapes;

use OakTrace\Core\Sheet\Chain;

/** A closed outline of the drawing, and the chains beside it a cutter's centre follows. */
interface Shape
{
    /**
     * The outline moved by a distance, outwards where it is positive. It begins in the middle of its longest side, or at three o'clock.
     *
     * @return Chain|null counter-clockwise; null where nothing is left of it
     */
    public function beside(float $distance): ?Chain;

    /**
     * Outward from where its chains begin.
     *
     * @return array{float, float} a unit vector
     */
    public function outward(): array;

    /** Least radius of an inside corner; a tool of more does not come into it. */
    public function corner(): float;

    /** How much of the side its chains begin on is straight; 0 where none is. */
    public function straight(): float;

    /**
     * Its sharp corners.
     *
     * @return list<array{float, float, float, float}> X, Y, direction inwards and half of the angle between the sides, radians
     */
    public function sharpCorners(): array;

    /** Half of its least width. */
    public function halfWidth(): float;

    /** @return array{float, float, float, float} least X and Y, greatest X and Y */
    public function bounds(): array;
}
