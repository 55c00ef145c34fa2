<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

use OakTrace\Core\Control\OffsetCarries;

/** The offset of a turning tool under one number: what it adds on each axis, and the nose it stands for. Lengths in millimetres. */
final readonly class TurningOffset
{
    private const TIPS = [1 => [1, 1], 2 => [-1, 1], 3 => [-1, -1], 4 => [1, -1], 5 => [1, 0], 6 => [0, 1], 7 => [-1, 0], 8 => [0, -1]];

    /**
     * @param  array<string, Offset>  $axes  by name; on an axis of diameters half of what the control shows
     * @param  Offset  $nose  radius
     * @param  int  $quadrant  0 to 9: where the tip that is programmed stands, seen from the middle of the nose
     */
    public function __construct(public array $axes, public Offset $nose = new Offset(0.0), public int $quadrant = 0)
    {
    }

    /**
     * What is in force of a table with a station in and an offset called: null where it is not set.
     *
     * @param  array<int, self>  $table  by number
     */
    public static function inForce(array $table, int $station, int $number, OffsetCarries $carries): ?self
    {
        $geometry = $table[$carries->geometryOf($station, $number)] ?? null;

        return $geometry === null || $carries === OffsetCarries::GeometryAndWear ? $geometry : $geometry->withWearOf($table[$number] ?? null);
    }

    private function withWearOf(?self $other): self
    {
        $axes = [];
        foreach ($this->axes + ($other->axes ?? []) as $name => $offset) {
            $axes[$name] = new Offset(($this->axes[$name] ?? null)->geometry ?? 0.0, ($other->axes[$name] ?? null)->wear ?? 0.0);
        }

        return new self($axes, new Offset($this->nose->geometry, $other->nose->wear ?? 0.0), $this->quadrant);
    }

    /** @return array{int, int} from the middle of the nose to the tip that is programmed, Z and X, in radii (common practice) */
    public function tip(): array
    {
        return self::TIPS[$this->quadrant] ?? [0, 0];
    }

    /** @return array{float, float} from the middle of the nose to the tip, along Z and X, mm */
    public function noseToTip(): array
    {
        [$z, $x] = $this->tip();

        return [$this->nose->total() * $z, $this->nose->total() * $x];
    }
}
