<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

/** The same motion with Z and X changed for each other. */
final readonly class Flipped implements TurningMotion
{
    public function __construct(private TurningMotion $motion)
    {
    }

    public function rapid(float $z, float $x): void
    {
        $this->motion->rapid($x, $z);
    }

    public function feed(float $z, float $x): void
    {
        $this->motion->feed($x, $z);
    }

    public function thread(float $z, float $x, float $lead): void
    {
        $this->motion->thread($x, $z, $lead);
    }

    public function follow(Stretch $stretch): void
    {
        $this->motion->follow($stretch->flipped());
    }
}
