<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/** An arc by its centre, in the coordinates of what it is an arc of, and how far it goes round. Lengths in any unit. */
final readonly class Arc
{
    /**
     * @param  float  $first  of the centre, on the first axis of its plane
     * @param  float  $second  on the second
     * @param  float  $sweep  degrees from the first towards the second, negative clockwise
     */
    public function __construct(public float $first, public float $second, public float $sweep)
    {
    }

    public function moved(float $first, float $second): self
    {
        return new self($this->first + $first, $this->second + $second, $this->sweep);
    }

    /** With the axes of its plane changed for each other. */
    public function flipped(): self
    {
        return new self($this->second, $this->first, -$this->sweep);
    }

    /** How far a place is from its centre. */
    public function radius(float $first, float $second): float
    {
        return hypot($first - $this->first, $second - $this->second);
    }

    /**
     * Chords for an arc so that none stands off by more than an error: its sagitta is r (1 - cos(a / 2)).
     *
     * @param  float  $angle  how far it goes round, radians; its sign does not matter
     * @param  int  $most  of them, whatever the error is then
     */
    public static function chords(float $radius, float $angle, float $error, int $most): int
    {
        $step = $radius <= $error ? M_PI_2 : 2 * acos(1 - $error / $radius);

        // A radius so large that its chords cannot be told from it needs no more than one.
        return (int) max(1, min($most, $step > 0.0 ? ceil(abs($angle) / $step) : 1));
    }

    /** So many of them for this one. */
    public function chordsAt(float $radius, float $error, int $most): int
    {
        return self::chords($radius, deg2rad($this->sweep), $error, $most);
    }

    /**
     * Places along it in space, both ends among them. Beside its plane it goes on evenly.
     *
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     * @param  array{int, int}  $plane  coordinates it lies in
     * @param  int  $count  of the chords between them
     * @return non-empty-list<array{float, float, float}>
     */
    public function places(array $from, array $to, array $plane, int $count): array
    {
        [$a, $b] = $plane;
        $radius = $this->radius($from[$a], $from[$b]);
        $start = atan2($from[$b] - $this->second, $from[$a] - $this->first);
        $angle = deg2rad($this->sweep);
        $places = [$from];
        for ($n = 1; $n <= $count; $n++) {
            $share = $n / $count;
            $at = [$from[0] + ($to[0] - $from[0]) * $share, $from[1] + ($to[1] - $from[1]) * $share, $from[2] + ($to[2] - $from[2]) * $share];
            $at[$a] = $this->first + $radius * cos($start + $angle * $share);
            $at[$b] = $this->second + $radius * sin($start + $angle * $share);
            /** @var array{float, float, float} $at */
            $places[] = $at;
        }

        return $places;
    }
}
