<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Geometry\Arc;

/** A move at feed in the plane of the program, as that gives it: a line, or an arc about a centre. Machine positions, mm. */
final readonly class OutlineMove
{
    /** Moves shorter than this have no direction to speak of, mm. */
    private const SHORT = 0.2;

    /** How exactly a chord has to make the same angle with the moves on both sides, radians. */
    private const ALIKE = 1e-3;

    /** Radians between an arc's chord and the moves beside it up to which it is as good as straight. */
    private const FLAT = 0.05;

    /** @param  array{float, float}  $from */
    private function __construct(
        public int $line,
        private array $from,
        /** @var array{float, float} */
        private array $to,
        /** degrees in which it sets out and arrives */
        private float $out,
        private float $in,
        /** degrees an arc goes round, less than 0 clockwise; null of a line */
        public ?float $sweep = null,
    ) {
    }

    /**
     * @param  int  $line  place of its block
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return self|null null where it is too short to have a direction
     */
    public static function straight(int $line, array $from, array $to): ?self
    {
        $way = rad2deg(atan2($to[1] - $from[1], $to[0] - $from[0]));

        return hypot($to[0] - $from[0], $to[1] - $from[1]) < self::SHORT ? null : new self($line, $from, $to, $way, $way);
    }

    /**
     * @param  int  $line  place of its block
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @param  Arc  $arc  about the same centre, the same way round
     * @return self|null null where it is too short to have a direction
     */
    public static function round(int $line, array $from, array $to, Arc $arc): ?self
    {
        [$start, $end] = [atan2($from[1] - $arc->second, $from[0] - $arc->first), atan2($to[1] - $arc->second, $to[0] - $arc->first)];
        $way = $arc->sweep < 0.0 ? -1.0 : 1.0;
        $sweep = fmod($way * rad2deg($end - $start) + 720.0, 360.0);
        $sweep = $way * ($sweep < 1e-6 ? 360.0 : $sweep);
        if (deg2rad(abs($sweep)) * hypot($from[0] - $arc->first, $from[1] - $arc->second) < self::SHORT) {
            return null;
        }

        return new self($line, $from, $to, rad2deg($start) + $way * 90.0, rad2deg($end) + $way * 90.0, $sweep);
    }

    public function isArc(): bool
    {
        return $this->sweep !== null;
    }

    /** Radius of an arc by its ends and its sweep, mm; 0 of a line. */
    public function radius(): float
    {
        return $this->sweep === null ? 0.0 : $this->radiusOver($this->sweep);
    }

    /** Degrees by which the move behind it turns off, 0 to 180. */
    public function turnTo(self $next): float
    {
        return abs(self::between($this->in, $next->out));
    }

    /** Degrees an arc would sweep over the same ends, were it to leave no corner at either of two lines; null where none does. */
    public function smoothSweep(self $before, self $behind): ?float
    {
        $chord = rad2deg(atan2($this->to[1] - $this->from[1], $this->to[0] - $this->from[0]));
        [$enters, $exits] = [deg2rad(self::between($before->in, $chord)), deg2rad(self::between($chord, $behind->out))];

        // The chord of an arc that is tangent to both makes the same angle with either.
        return $this->chord() < 1e-6 || abs($enters - $exits) > self::ALIKE || abs($enters) < self::FLAT ? null : rad2deg(2 * $enters);
    }

    /** The radius that goes with a sweep over its ends, mm. */
    public function radiusOver(float $sweep): float
    {
        return $this->chord() / (2 * abs(sin(deg2rad($sweep / 2))));
    }

    private function chord(): float
    {
        return hypot($this->to[0] - $this->from[0], $this->to[1] - $this->from[1]);
    }

    /** Degrees from one direction to another, −180 to 180. */
    private static function between(float $from, float $to): float
    {
        return fmod($to - $from + 900.0, 360.0) - 180.0;
    }
}
