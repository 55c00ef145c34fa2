<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Quantities\Units;

/** What a number of a file counts. The core holds millimetres, m/min, kW, N m and N. */
enum FieldUnit
{
    case Plain;
    case Length;
    case SurfaceSpeed;
    case Power;
    case Torque;
    case Force;

    /** What one of the file's is in the core's: a file in inches has feet/min, horsepower, foot-pounds and pounds (NIST SP 811). */
    public function factor(Units $units): float
    {
        return match (true) {
            $this === self::Length => $units->millimetres(),
            $units === Units::Millimetre || $this === self::Plain => 1.0,
            $this === self::SurfaceSpeed => 0.3048,
            $this === self::Power => 0.74569987,
            $this === self::Torque => 1.3558179,
            default => 4.4482216,
        };
    }
}
