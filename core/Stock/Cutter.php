<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;

/**
 * What a turning tool sweeps, as the height of its edge above its tip by the distance from its axis: level out to the flat
 * radius, from there on rounded by a corner or rising as a cone. Lengths in mm.
 */
final readonly class Cutter
{
    /**
     * @param  float  $flat  radius out to which the end is level
     * @param  float  $corner  radius of the rounding from there to the full radius; 0 where there is none
     * @param  float  $rise  of the cone from there to the full radius, mm for each mm; 0 where there is none
     */
    private function __construct(public float $radius, public float $flat, public float $corner = 0.0, public float $rise = 0.0)
    {
    }

    public static function flat(float $radius): self
    {
        return new self($radius, $radius);
    }

    public static function ball(float $radius): self
    {
        return new self($radius, 0.0, $radius);
    }

    public static function bull(float $radius, float $corner): self
    {
        $corner = min($corner, $radius);

        return new self($radius, $radius - $corner, $corner);
    }

    /** @param  float  $angle  included, degrees */
    public static function cone(float $radius, float $angle, float $flat = 0.0): self
    {
        return new self($radius, min($flat, $radius), 0.0, 1 / tan(deg2rad($angle / 2)));
    }

    /** How high its cone is, mm; 0 where it has none. */
    public function coneHeight(): float
    {
        return ($this->radius - $this->flat) * $this->rise;
    }

    /** Null where the tool takes nothing off, or its diameter is not known. */
    public static function of(Tool $tool): ?self
    {
        $radius = $tool->radius();
        if ($radius <= 0.0 || $tool->kind === ToolKind::Probe) {
            return null;
        }

        return match ($tool->kind) {
            ToolKind::BallMill => self::ball($radius),
            ToolKind::BullMill, ToolKind::EndMill, ToolKind::FaceMill => $tool->geometry->cornerRadius > 0.0 ? self::bull(
                $radius, $tool->geometry->cornerRadius,
            ) : self::flat($radius),
            ToolKind::Drill, ToolKind::SpotDrill, ToolKind::CenterDrill, ToolKind::ChamferMill, ToolKind::Engraver => self::cone(
                $radius, $tool->geometry->pointAngle ?? $tool->kind->usualPointAngle(),
            ),
            default => self::flat($radius),
        };
    }

    public function isBall(): bool
    {
        return $this->flat === 0.0 && $this->corner > 0.0;
    }

    public function isFlat(): bool
    {
        return $this->flat === $this->radius;
    }

    /** Height of the edge above the tip, by the square of the distance from the axis, which is no more than the radius. */
    public function height(float $square): float
    {
        if ($square <= $this->flat * $this->flat) {
            return 0.0;
        }
        if ($this->corner > 0.0) {
            $out = sqrt($square) - $this->flat;
            $under = $this->corner * $this->corner - $out * $out;

            return $this->corner - ($under > 0.0 ? sqrt($under) : 0.0);
        }

        return (sqrt($square) - $this->flat) * $this->rise;
    }

    /**
     * How far behind its axis, at the most, it still comes lower on its way down than where it has come from: where its end rises from the
     * axis less steeply than the way falls.
     *
     * @param  float  $fall  of its way, mm for each mm along
     */
    public function behind(float $fall): float
    {
        if ($this->corner > 0.0) {
            return $this->flat + $this->corner * $fall / sqrt(1 + $fall * $fall);
        }

        return $fall < $this->rise ? max($this->flat, $this->radius * $fall / $this->rise) : $this->radius;
    }

    /** What of it lies between its tip and a height above that, mm³. */
    public function volumeUnder(float $height): float
    {
        if ($height <= 0.0) {
            return 0.0;
        }
        if ($this->isFlat()) {
            return M_PI * $this->radius ** 2 * $height;
        }
        if ($this->corner > 0.0) {
            // Of a torus with a disc in it: the integral of (flat + √(corner² − (corner − h)²))² (geometry).
            $round = min($height, $this->corner);
            [$c, $f, $up] = [$this->corner, $this->flat, $this->corner - $round];
            $half = ($c * $c * M_PI_2 - $up * sqrt(max(0.0, $c * $c - $up * $up)) - $c * $c * asin(min(1.0, $up / $c))) / 2;

            return M_PI * ($f * $f * $round + 2 * $f * $half + $round * $round * ($c - $round / 3)) + M_PI * $this->radius ** 2 * ($height - $round);
        }
        $point = min($height, $this->rise > 0.0 ? ($this->radius - $this->flat) * $this->rise : 0.0);
        $wide = $this->rise > 0.0 ? $this->flat + $point / $this->rise : $this->radius;

        return M_PI / 3 * $point * ($this->flat ** 2 + $this->flat * $wide + $wide ** 2) + M_PI * $this->radius ** 2 * ($height - $point);
    }

    /** How far from the axis the edge is at a height above the tip. */
    public function radiusAt(float $height): float
    {
        if ($height <= 0.0) {
            return $this->flat;
        }
        if ($this->corner > 0.0) {
            return $height >= $this->corner ? $this->radius : $this->flat + sqrt($height * (2 * $this->corner - $height));
        }

        return $this->rise > 0.0 ? min($this->radius, $this->flat + $height / $this->rise) : $this->radius;
    }

    /**
     * How low the edge comes over a point beside a sloping path: the least of slope × w + height(aside² + w²) for w from one
     * end to the other, w being how far along the path from the point the axis is. The sum is convex in w.
     *
     * @param  float  $aside  square of the point's distance from the path's line
     * @param  float  $slope  rise of the path for each mm along
     */
    public function lowest(float $aside, float $slope, float $from, float $to): ?float
    {
        $room = $this->radius * $this->radius - $aside;
        if ($room < 0.0) {
            return null;
        }
        $reach = sqrt($room);
        $from = max($from, -$reach);
        $to = min($to, $reach);
        if ($from > $to) {
            return null;
        }
        if ($this->isFlat()) {
            return $slope * ($slope < 0.0 ? $to : $from);
        }
        if ($this->flat === 0.0 && $this->corner > 0.0) {
            $at = -$slope * $reach / sqrt(1 + $slope * $slope);
        } elseif ($this->flat === 0.0) {
            $left = $this->rise * $this->rise - $slope * $slope;
            $at = $left > 0.0 ? -$slope * sqrt($aside / $left) : ($slope < 0.0 ? $to : $from);
        } else {
            return $this->searched($aside, $slope, $from, $to);
        }
        $at = max($from, min($to, $at));

        return $slope * $at + $this->height($aside + $at * $at);
    }

    /**
     * The same of a rounded corner, where there is no closed form: the sum is convex, so its slope is nothing in one place (Illinois method).
     * Where it slopes by less than a hundred-thousandth it is lower nowhere by more than a thousand-millionth of a millimetre.
     */
    private function searched(float $aside, float $slope, float $from, float $to): float
    {
        [$flat, $square] = [$this->flat, $this->corner * $this->corner];
        // Mostly it is lowest at an end of the way: what lies before the cutter where it stops, or beside where it started.
        $atHigh = $this->steepness($aside, $slope, $to);
        if ($atHigh <= 0.0) {
            return $slope * $to + $this->height(min($this->radius * $this->radius, $aside + $to * $to));
        }
        $atLow = $this->steepness($aside, $slope, $from);
        if ($atLow >= 0.0) {
            return $slope * $from + $this->height(min($this->radius * $this->radius, $aside + $from * $from));
        }
        [$low, $high] = [$from, $to];
        $at = $low;
        for ($turn = 0, $side = 0; $turn < 40 && $high - $low > 1e-6; $turn++) {
            // An end so steep that it has no figure is halved away from.
            $at = is_infinite($atLow) || is_infinite($atHigh) || $turn % 8 === 7 ? ($low + $high) / 2 : ($low * $atHigh - $high * $atLow) / ($atHigh - $atLow);
            $out = sqrt($aside + $at * $at) - $flat;
            $under = $square - $out * $out;
            $steep = $slope + ($out <= 0.0 ? 0.0 : ($under <= 0.0 ? ($at > 0.0 ? INF : -INF) : $at / ($out + $flat) * $out / sqrt($under)));
            if (abs($steep) < 1e-5) {
                break;
            }
            if ($steep < 0.0) {
                [$low, $atLow, $atHigh, $side] = [$at, $steep, $side === -1 ? $atHigh / 2 : $atHigh, -1];
            } else {
                [$high, $atHigh, $atLow, $side] = [$at, $steep, $side === 1 ? $atLow / 2 : $atLow, 1];
            }
        }

        return $slope * $at + $this->height(min($this->radius * $this->radius, $aside + $at * $at));
    }

    /** By how much slope × w + height(aside² + w²) rises for each mm of w. */
    private function steepness(float $aside, float $slope, float $at): float
    {
        $out = sqrt($aside + $at * $at) - $this->flat;
        if ($out <= 0.0) {
            return $slope;
        }
        $under = $this->corner * $this->corner - $out * $out;

        return $slope + ($under <= 1e-12 ? ($at > 0.0 ? INF : -INF) : $at / ($out + $this->flat) * $out / sqrt($under));
    }
}
