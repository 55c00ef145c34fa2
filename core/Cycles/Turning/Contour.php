<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

/** The shape a roughing or finishing cycle is given in blocks P to Q: the way in, and what follows. */
final readonly class Contour
{
    /**
     * @param  non-empty-list<Stretch>  $stretches  the first is the way from where the tool stands to where the shape begins
     * @param  bool  $namesBoth  whether the block of that names X and Z
     */
    public function __construct(public array $stretches, public bool $namesBoth = false)
    {
    }

    /** @return list<Stretch> the shape itself */
    public function shape(): array
    {
        return array_slice($this->stretches, 1);
    }

    public function moved(float $z, float $x): self
    {
        return new self(array_map(static fn (Stretch $stretch): Stretch => $stretch->moved($z, $x), $this->stretches), $this->namesBoth);
    }

    public function flipped(): self
    {
        return new self(array_map(static fn (Stretch $stretch): Stretch => $stretch->flipped(), $this->stretches), $this->namesBoth);
    }

    /** Whether more of it lies nearer to the axis than some radius than further out: it is cut from outside. */
    public function liesBelow(float $radius): bool
    {
        $radii = array_map(static fn (Stretch $stretch): float => $stretch->x, $this->stretches);

        return $radius - min($radii) >= max($radii) - $radius;
    }

    /**
     * The shape itself in chords.
     *
     * @return non-empty-list<array{float, float}> Z and X
     */
    public function points(): array
    {
        $points = [[$this->start()->z, $this->start()->x]];
        foreach ($this->shape() as $stretch) {
            array_push($points, ...$stretch->chords());
        }

        return $points;
    }

    /** On which side of all of it a place along Z lies: 1 towards plus, -1 towards minus, 0 on neither. */
    public function liesTowards(float $z): int
    {
        $ends = array_map(static fn (Stretch $stretch): float => $stretch->z, $this->stretches);

        return match (true) {
            $z >= max($ends) - 1e-6 => 1,
            $z <= min($ends) + 1e-6 => -1,
            default => 0,
        };
    }

    /** Where it begins. */
    public function start(): Stretch
    {
        return $this->stretches[0];
    }

    public function end(): Stretch
    {
        return $this->stretches[count($this->stretches) - 1];
    }

    /**
     * Whether X goes one way only, and so does Z.
     *
     * @param  bool  $mayFall  whether X may go back, into a pocket
     */
    public function isMonotone(bool $mayFall = false): bool
    {
        $ways = [[], []];
        foreach ($this->shape() as $stretch) {
            $ends = [[$stretch->fromZ, $stretch->fromX], [$stretch->z, $stretch->x]];
            if ($stretch->arc !== null) {
                // Beyond a quadrant point an arc goes back.
                foreach ([[1, 0], [0, 1], [-1, 0], [0, -1]] as [$z, $x]) {
                    $at = [$stretch->arc->first + $z * $stretch->radius(), $stretch->arc->second + $x * $stretch->radius()];
                    if ($stretch->crossings($at[1]) !== [] && $this->isBetween($stretch, $at)) {
                        array_splice($ends, -1, 0, [$at]);
                    }
                }
            }
            foreach (array_slice($ends, 1) as $i => $end) {
                foreach ([0, 1] as $axis) {
                    if (abs($end[$axis] - $ends[$i][$axis]) > 1e-4) {
                        $ways[$axis][$end[$axis] > $ends[$i][$axis] ? 1 : -1] = true;
                    }
                }
            }
        }

        return count($ways[0]) < 2 && ($mayFall || count($ways[1]) < 2);
    }

    /**
     * Whether a quadrant point of an arc lies on it, apart from its ends.
     *
     * @param  array{float, float}  $at
     */
    private function isBetween(Stretch $stretch, array $at): bool
    {
        foreach ($stretch->crossings($at[1]) as $z) {
            if (abs($z - $at[0]) < 1e-4) {
                return hypot($at[0] - $stretch->fromZ, $at[1] - $stretch->fromX) > 1e-3 && hypot($at[0] - $stretch->z, $at[1] - $stretch->x) > 1e-3;
            }
        }

        return false;
    }
}
