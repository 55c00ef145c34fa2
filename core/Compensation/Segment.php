<?php

declare(strict_types=1);

namespace OakTrace\Core\Compensation;

/**
 * A programmed move that goes somewhere in the plane of compensation, and the same moved aside by the cutter's radius.
 * Points of the plane are (first, second), mm.
 */
final class Segment
{
    /**
     * Where the offset move begins and ends once its corners are settled.
     *
     * @var array{float, float}
     */
    public array $start;

    /** @var array{float, float} */
    public array $end;

    /**
     * Direction at its ends, of length 1.
     *
     * @var array{float, float}
     */
    public readonly array $startDirection;

    /** @var array{float, float} */
    public readonly array $endDirection;

    /** Radius of the offset arc; 0 or less where the cutter does not fit inside it. */
    public readonly float $radius;

    /**
     * @param  list<float>  $to  programmed end, every axis
     * @param  array{float, float}  $a  programmed start in the plane
     * @param  array{float, float}  $b  programmed end in the plane
     * @param  array{float, float}|null  $center  of an arc
     * @param  float  $sweep  of an arc, degrees, negative when clockwise
     * @param  float  $aside  how far to the left the tool's centre runs; negative to the right
     */
    public function __construct(
        public readonly int $kind,
        public readonly int $line,
        public readonly int $state,
        public readonly int $marks,
        public readonly float $feed,
        public readonly array $to,
        public readonly array $a,
        public readonly array $b,
        public readonly ?array $center,
        public readonly float $sweep,
        public readonly float $aside,
    ) {
        // Huge numbers may swallow a length: then any will do.
        if ($center === null) {
            $length = hypot($b[0] - $a[0], $b[1] - $a[1]) ?: 1.0;
            $this->startDirection = $this->endDirection = [($b[0] - $a[0]) / $length, ($b[1] - $a[1]) / $length];
            $this->radius = 0.0;
        } else {
            $turn = $sweep < 0 ? -1.0 : 1.0;
            $radius = hypot($a[0] - $center[0], $a[1] - $center[1]) ?: 1.0;
            $this->startDirection = [-$turn * ($a[1] - $center[1]) / $radius, $turn * ($a[0] - $center[0]) / $radius];
            $far = hypot($b[0] - $center[0], $b[1] - $center[1]) ?: 1.0;
            $this->endDirection = [-$turn * ($b[1] - $center[1]) / $far, $turn * ($b[0] - $center[0]) / $far];
            // Left of a counter-clockwise arc lies its centre.
            $this->radius = $radius - $turn * $aside;
        }
        $this->start = [$a[0] - $aside * $this->startDirection[1], $a[1] + $aside * $this->startDirection[0]];
        $this->end = [$b[0] - $aside * $this->endDirection[1], $b[1] + $aside * $this->endDirection[0]];
    }

    public function length(): float
    {
        return $this->center === null
            ? hypot($this->b[0] - $this->a[0], $this->b[1] - $this->a[1])
            : hypot($this->a[0] - $this->center[0], $this->a[1] - $this->center[1]) * abs(deg2rad($this->sweep));
    }

    /**
     * How far along the offset move a point of it lies from the place it would begin at with no corner: mm on a line,
     * degrees on an arc, less than 0 before it.
     *
     * @param  array{float, float}  $point
     */
    public function along(array $point): float
    {
        $from = [$this->a[0] - $this->aside * $this->startDirection[1], $this->a[1] + $this->aside * $this->startDirection[0]];
        if ($this->center === null) {
            return ($point[0] - $from[0]) * $this->startDirection[0] + ($point[1] - $from[1]) * $this->startDirection[1];
        }
        $angle = rad2deg(atan2($point[1] - $this->center[1], $point[0] - $this->center[0]) - atan2($from[1] - $this->center[1], $from[0] - $this->center[0]));
        $angle = fmod($this->sweep < 0 ? 720 - $angle : 720 + $angle, 360);

        // What lies more than halfway round behind the whole arc lies before its beginning.
        return $angle > 180 + abs($this->sweep) / 2 ? $angle - 360 : $angle;
    }

    /** The reach of along() over the whole of the move. */
    public function reach(): float
    {
        return $this->center === null ? $this->length() : abs($this->sweep);
    }

    /** Degrees the settled offset arc turns, signed. */
    public function settledSweep(): float
    {
        $full = abs($this->sweep);
        $turned = $this->along($this->end) - $this->along($this->start);
        // A full turn's end is its beginning, and several turns look like what is over.
        while ($turned < $full - 180) {
            $turned += 360;
        }

        return $this->sweep < 0 ? -$turned : $turned;
    }
}
