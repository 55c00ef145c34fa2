<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use InvalidArgumentException;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Solids\HeightMap;
use OakTrace\Core\Solids\Mesh;

/** The stock of a setup file, in millimetres. */
final readonly class StockFields
{
    /** @param  float  $unit  mm in one length of the file */
    public function __construct(private float $unit)
    {
    }

    /**
     * @param  string  $field  where it stands in the setup, dotted
     *
     * @throws SetupFileError
     */
    public function read(FileEntry $file, string $workOffset, string $field): Stock
    {
        $work = $file->string('workOffset', $workOffset);

        return match ($file->string('shape')) {
            'cylinder', 'bar', 'tube', 'hexagon', 'profile' => $this->cylinder($file, $work, $field),
            'heights' => Stock::of($work, $this->heights($file, $field), $file->source()),
            'solid' => Stock::of($work, self::solid($file->string('stl'), "$field.stl")->scaled($this->unit), $file->source()),
            default => $this->box($file, $work, $field),
        };
    }

    /**
     * The triangles of an STL file as it stands in a setup: in base64.
     *
     * @throws SetupFileError
     */
    public static function solid(string $base64, string $field): Mesh
    {
        $bytes = base64_decode($base64, true);
        try {
            return StlReader::mesh($bytes === false ? '' : $bytes);
        } catch (InvalidArgumentException $problem) {
            throw new SetupFileError([$field => $problem->getMessage()]);
        }
    }

    private function cylinder(FileEntry $file, string $work, string $field): Stock
    {
        $bore = $file->float('bore', 0.0);
        // A hexagon turns in the circle through its corners.
        $flats = $file->maybeFloat('acrossFlats');
        $points = new ProfilePoints($this->unit);
        $outer = $points->read($file, 'outer', $field);
        $diameter = $flats === null ? $file->float('diameter', $outer === [] ? null : max(array_column($outer, 1))) : $flats * 2 / sqrt(3);
        if ($bore >= $diameter) {
            throw SetupFileError::at("$field.bore", 'The bore (%s) is no smaller than the diameter (%s): nothing is left of it.', $bore, $diameter);
        }

        return Stock::cylinder(
            $work, $diameter * $this->unit, $file->float('length', $outer === [] ? null : -min(array_column($outer, 0))) * $this->unit,
            $file->float('face', $outer === [] ? 0.0 : max(0.0, ...array_column($outer, 0))) * $this->unit, $file->source(),
            AxisName::place($file->string('axis', AxisName::Z)) ?? 2, $bore * $this->unit, $file->string('towards', 'minus') === 'plus',
            $this->turned($outer, "$field.outer", $diameter), $this->turned($points->read($file, 'inner', $field), "$field.inner", $diameter),
            $flats === null ? null : $flats * $this->unit,
        );
    }

    /**
     * What has been turned before, along Z.
     *
     * @param  list<array{float, float}>  $points  Z and diameter
     * @return list<array{float, float}> Z and radius in millimetres, from minus to plus
     *
     * @throws SetupFileError where the points go back along Z, or are thicker than the bar
     */
    private function turned(array $points, string $field, float $diameter): array
    {
        if ($points !== [] && $points[0][0] > $points[count($points) - 1][0]) {
            $points = array_reverse($points);
        }
        foreach ($points as $n => [$z, $across]) {
            if ($z < ($points[$n - 1][0] ?? -INF) || $across < 0.0 || $across > $diameter) {
                throw SetupFileError::at($field, 'Give its points along Z, each with a diameter no larger than the bar: Z%s Ø%s is none such.', $z, $across);
            }
        }

        return array_map(fn (array $point): array => [$point[0] * $this->unit, $point[1] / 2 * $this->unit], $points);
    }

    private function box(FileEntry $file, string $work, string $field): Stock
    {
        [$min, $max] = [$file->place('min'), $file->place('max')];
        foreach (AxisName::LINEAR as $i => $axis) {
            if ($min[$i] >= $max[$i]) {
                throw SetupFileError::at("$field.max.$i", 'The stock ends in %s (%s) before it begins (%s).', $axis, $max[$i], $min[$i]);
            }
        }

        return Stock::box($work, Box::of($min, $max)->times($this->unit), $file->source());
    }

    private function heights(FileEntry $file, string $field): HeightMap
    {
        $bottom = $file->float('bottom');
        $scaled = [];
        $any = false;
        foreach (array_values($file->entries('heights')) as $row => $heights) {
            $line = [];
            foreach (array_keys($heights->values) as $column) {
                $height = $heights->maybeFloat((string) $column);
                $any = $any || ($height !== null && $height > $bottom);
                if ($height !== null && $height < $bottom) {
                    throw SetupFileError::at("$field.heights.$row.$column", 'A height (%s) is below the bottom (%s).', $height, $bottom);
                }
                $line[] = $height === null ? null : $height * $this->unit;
            }
            $scaled[] = $line;
            if (count($line) !== count($scaled[0])) {
                $counts = 'Row '.($row + 1).' has '.count($line).' heights, the first has '.count($scaled[0]).'.';
                throw new SetupFileError(["$field.heights.$row" => $counts]);
            }
        }
        if (! $any) {
            throw new SetupFileError(["$field.heights" => 'No height is above the bottom: there is no stock.']);
        }
        $at = $file->entry('at');

        return new HeightMap(
            $at->float('0') * $this->unit, $at->float('1') * $this->unit, $file->float('square') * $this->unit, $bottom * $this->unit, $scaled,
        );
    }
}
