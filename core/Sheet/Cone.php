<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** A pointed tool at the height of its chamfer. Lengths in millimetres. */
final readonly class Cone
{
    /**
     * @param  float  $width  of the chamfer
     * @param  float  $below  how far the tip runs below it
     * @param  float  $tip  radius of the flat of the tip
     * @param  float  $half  half of the point angle, radians
     * @param  float  $radius  of the tool
     */
    public function __construct(private float $width, private float $below, private float $tip, private float $half, private float $radius)
    {
    }

    /** From its axis to the wall under the chamfer. */
    public function beside(): float
    {
        return $this->tip + $this->below * tan($this->half);
    }

    /** How wide it is at the height of the edge. */
    public function atTop(): float
    {
        return $this->beside() + $this->width * tan($this->half);
    }

    /**
     * What is left between it and the walls that stand round it; negative where it cuts into one.
     *
     * @param  non-empty-list<array{float, float}>  $places  of its axis
     */
    public function roomAt(array $places, Edge $edge, Job $job): float
    {
        $z = $edge->top - $this->width - $this->below;
        $room = INF;
        foreach ($job->wallsAround() as $wall) {
            $chain = $wall->shape->beside(0.0);
            // A hollow has walls of its own kind beside it only where they stand higher.
            if ($chain === null || $wall->top <= ($edge->isInside ? $edge->top + 1e-6 : $z)) {
                continue;
            }
            $reach = min($this->radius, $this->tip + ($wall->top - $z) * tan($this->half));
            $inside = $chain->inside($places);
            // Where it crosses the wall that has been opened.
            $room = $inside >= 0.0 ? min($room, $inside - $reach) : $room;
        }

        return $room;
    }
}
