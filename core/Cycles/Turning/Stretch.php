<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

use OakTrace\Core\Geometry\Arc;

/** A straight line or an arc of a turned shape. Axis positions in millimetres; X is the radius. */
final readonly class Stretch
{
    /**
     * @param  Arc|null  $arc  in Z and X
     * @param  int  $line  place of its block
     */
    public function __construct(
        public float $fromZ, public float $fromX, public float $z, public float $x, public ?Arc $arc, public bool $isRapid, public int $line,
    ) {
    }

    public function moved(float $z, float $x): self
    {
        return new self(
            $this->fromZ + $z, $this->fromX + $x, $this->z + $z, $this->x + $x,
            $this->arc?->moved($z, $x), $this->isRapid, $this->line,
        );
    }

    /** The same with Z and X changed for each other. */
    public function flipped(): self
    {
        return new self(
            $this->fromX, $this->fromZ, $this->x, $this->z, $this->arc?->flipped(), $this->isRapid, $this->line,
        );
    }

    public function radius(): float
    {
        return $this->arc?->radius($this->fromZ, $this->fromX) ?? 0.0;
    }

    /**
     * Its way in chords.
     *
     * @return non-empty-list<array{float, float}> Z and X, without where it begins
     */
    public function chords(): array
    {
        $points = [];
        $steps = $this->arc?->chordsAt($this->radius(), self::CHORD, self::MOST_CHORDS) ?? 1;
        for ($i = 1; $i < $steps && $this->arc !== null; $i++) {
            $angle = atan2($this->fromX - $this->arc->second, $this->fromZ - $this->arc->first) + deg2rad($this->arc->sweep) * $i / $steps;
            $points[] = [$this->arc->first + $this->radius() * cos($angle), $this->arc->second + $this->radius() * sin($angle)];
        }

        return [...$points, [$this->z, $this->x]];
    }

    /**
     * Where it has a radius.
     *
     * @return list<float> Z
     */
    public function crossings(float $x): array
    {
        $least = min($this->fromX, $this->x) - self::NEAR;
        $most = max($this->fromX, $this->x) + self::NEAR;
        if ($this->arc === null) {
            if ($x < $least || $x > $most || abs($this->x - $this->fromX) < self::NEAR) {
                return abs($this->x - $x) < self::NEAR ? [$this->fromZ, $this->z] : [];
            }

            return [$this->fromZ + ($this->z - $this->fromZ) * min(1.0, max(0.0, ($x - $this->fromX) / ($this->x - $this->fromX)))];
        }
        $radius = $this->radius();
        $up = $x - $this->arc->second;
        if (abs($up) > $radius + self::NEAR) {
            return [];
        }
        $along = sqrt(max(0.0, $radius * $radius - $up * $up));
        $found = [];
        foreach ($along < self::NEAR ? [0.0] : [$along, -$along] as $side) {
            if ($this->passes($side, $up)) {
                $found[] = $this->arc->first + $side;
            }
        }

        return $found;
    }

    /** How far a chord may stand off, mm. */
    private const CHORD = 0.02;

    private const MOST_CHORDS = 400;

    /** Lengths closer than this are one place, mm. */
    private const NEAR = 1e-6;

    /** Whether the arc comes by a direction from its centre. */
    private function passes(float $z, float $x): bool
    {
        [$centerZ, $centerX, $sweep] = [$this->arc->first ?? 0.0, $this->arc->second ?? 0.0, $this->arc->sweep ?? 0.0];
        $start = rad2deg(atan2($this->fromX - $centerX, $this->fromZ - $centerZ));
        $turn = fmod((rad2deg(atan2($x, $z)) - $start) * ($sweep < 0 ? -1 : 1) + 720.0, 360.0);

        return $turn <= abs($sweep) + 1e-4 || $turn >= 360.0 - 1e-4;
    }
}
