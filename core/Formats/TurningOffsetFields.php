<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Offset;
use OakTrace\Core\Setup\TurningOffset;

/** One row of the offset table of a lathe: X, Z and R, each a number or geometry and wear, and the quadrant of the tip. */
final readonly class TurningOffsetFields
{
    private const RADIUS = 'R';

    private const QUADRANT = 'tip';

    public function __construct(private AxisValues $axisValues, private Units $units)
    {
    }

    public function read(FileEntry $file): TurningOffset
    {
        $axes = [];
        foreach (array_keys(array_diff_key($file->values, [self::RADIUS => 1, self::QUADRANT => 1])) as $axis) {
            $axes[(string) $axis] = self::offset($file, (string) $axis, $this->axisValues->factor((string) $axis));
        }
        $nose = $file->has(self::RADIUS) ? self::offset($file, self::RADIUS, $this->units->millimetres()) : new Offset(0.0);

        return new TurningOffset($axes, $nose, $file->has(self::QUADRANT) ? $file->int(self::QUADRANT) : 0);
    }

    /** @return array<string, mixed> */
    public function write(TurningOffset $offset): array
    {
        $file = [];
        foreach ($offset->axes as $axis => $value) {
            $file[$axis] = self::written($value, $this->axisValues->factor($axis));
        }

        return $file + [self::RADIUS => self::written($offset->nose, $this->units->millimetres()), self::QUADRANT => $offset->quadrant];
    }

    private static function offset(FileEntry $file, string $name, float $factor): Offset
    {
        if (! is_array($file->values[$name])) {
            return new Offset($file->float($name) * $factor);
        }
        $row = $file->entry($name);

        return new Offset($row->float('geometry') * $factor, $row->float('wear', 0.0) * $factor);
    }

    /** @return array<string, float> */
    private static function written(Offset $offset, float $factor): array
    {
        return ['geometry' => round($offset->geometry / $factor, 9) + 0.0, 'wear' => round($offset->wear / $factor, 9) + 0.0];
    }
}
