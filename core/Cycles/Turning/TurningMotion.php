<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

/** What a turning cycle makes its strokes through. Places are axis positions, millimetres; X is the radius. */
interface TurningMotion
{
    public function rapid(float $z, float $x): void;

    public function feed(float $z, float $x): void;

    /** @param  float  $lead  mm a turn, along the axis that goes further */
    public function thread(float $z, float $x, float $lead): void;

    public function follow(Stretch $stretch): void;
}
