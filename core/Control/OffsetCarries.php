<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** What the offset number in the T of a lathe brings: geometry and wear, or the wear alone, with the geometry of the station. */
enum OffsetCarries: string
{
    case GeometryAndWear = 'geometry-and-wear';
    case WearOnly = 'wear-only';

    /** The number whose geometry is in force; 0 for none. */
    public function geometryOf(int $station, int $number): int
    {
        return $number === 0 || $this === self::GeometryAndWear ? $number : $station;
    }
}
