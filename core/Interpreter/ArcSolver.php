<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

/**
 * Finds centre and sweep of an arc in its plane. The answer stands in the public fields, so that a million arcs need
 * no object each. Lengths in millimetres, angles in degrees.
 */
final class ArcSolver
{
    public const OK = '';

    public const NO_CENTRE = 'no-centre';

    public const RADIUS_TOO_SMALL = 'radius-too-small';

    public const RADIUS_WITHOUT_END = 'radius-without-end';

    public const RADIUS_MISMATCH = 'radius-mismatch';

    /** Two points closer than this are one point. */
    private const SAME = 1e-7;

    public float $centerFirst = 0.0;

    public float $centerSecond = 0.0;

    /** Degrees, negative when clockwise. */
    public float $sweep = 0.0;

    public float $startRadius = 0.0;

    public float $endRadius = 0.0;

    public function __construct(private readonly float $tolerance)
    {
    }

    /**
     * Centre form: the centre is given from the start point.
     *
     * @return string OK, NO_CENTRE, or RADIUS_MISMATCH where start and end radius differ by more than the tolerance
     *                (NISTIR 6556: 0.002 mm); with a mismatch the arc is still solved, about the given centre
     */
    public function fromCenter(
        float $startFirst, float $startSecond, float $endFirst, float $endSecond, float $offsetFirst, float $offsetSecond, bool $clockwise,
    ): string {
        $this->centerFirst = $startFirst + $offsetFirst;
        $this->centerSecond = $startSecond + $offsetSecond;
        $this->startRadius = hypot($offsetFirst, $offsetSecond);
        $this->endRadius = hypot($endFirst - $this->centerFirst, $endSecond - $this->centerSecond);
        if ($this->startRadius < self::SAME) {
            return self::NO_CENTRE;
        }
        $this->sweep = $this->sweepBetween($startFirst, $startSecond, $endFirst, $endSecond, $clockwise);

        return abs($this->startRadius - $this->endRadius) > $this->tolerance ? self::RADIUS_MISMATCH : self::OK;
    }

    /**
     * Radius form; a negative radius is the long way round.
     *
     * @return string OK, RADIUS_WITHOUT_END, or RADIUS_TOO_SMALL where the radius cannot span the chord
     */
    public function fromRadius(float $startFirst, float $startSecond, float $endFirst, float $endSecond, float $radius, bool $clockwise): string
    {
        $chordFirst = $endFirst - $startFirst;
        $chordSecond = $endSecond - $startSecond;
        $chord = hypot($chordFirst, $chordSecond);
        $this->startRadius = $this->endRadius = abs($radius);
        if ($chord < self::SAME) {
            return self::RADIUS_WITHOUT_END;
        }
        $height = $radius * $radius - $chord * $chord / 4;
        if ($height < 0.0) {
            if ($chord / 2 - abs($radius) > $this->tolerance) {
                return self::RADIUS_TOO_SMALL;
            }
            $height = 0.0;
        }
        // The centre lies on the perpendicular bisector: left of the chord for the short way counter-clockwise.
        $side = sqrt($height) / $chord * (($clockwise xor $radius < 0) ? -1 : 1);
        $this->centerFirst = $startFirst + $chordFirst / 2 - $chordSecond * $side;
        $this->centerSecond = $startSecond + $chordSecond / 2 + $chordFirst * $side;
        $this->sweep = $this->sweepBetween($startFirst, $startSecond, $endFirst, $endSecond, $clockwise);

        return self::OK;
    }

    private function sweepBetween(float $startFirst, float $startSecond, float $endFirst, float $endSecond, bool $clockwise): float
    {
        if (abs($endFirst - $startFirst) < self::SAME && abs($endSecond - $startSecond) < self::SAME) {
            return $clockwise ? -360.0 : 360.0;
        }
        $from = atan2($startSecond - $this->centerSecond, $startFirst - $this->centerFirst);
        $to = atan2($endSecond - $this->centerSecond, $endFirst - $this->centerFirst);
        $sweep = rad2deg($to - $from);
        if ($clockwise) {
            return $sweep >= 0.0 ? $sweep - 360.0 : $sweep;
        }

        return $sweep <= 0.0 ? $sweep + 360.0 : $sweep;
    }
}
